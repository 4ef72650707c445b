package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Color models on the command line: each component by name, cells of three and four numbers. */
class ModelCommandsTest extends CommandTest {

    private Path file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    private Path two() throws IOException {
        return file("two.ppm", "P3 2 1 255\n203 130 217  255 10 200\n");
    }

    @Test
    void aComponentIsChosenByItsName() throws IOException {
        assertThat(pixeron("run", two(), "--step", "convert to=hsv", "--component", "hue", "--out", folder.resolve("hue.csv"))).isZero();
        assertThat(folder.resolve("hue.csv")).hasContent("290,313\n");
        assertThat(pixeron("run", two(), "--step", "convert to=hsv", "--step", "add amount=30 channels=hue overflow=wrap", "--step", "convert to=rgb", "--packed", "--out",
                folder.resolve("turned.csv"))).isZero();
        // By hand: 320 40 85 has C = 0.34, x = 0.34 × 2 ÷ 3, m = 0.51; 343 96 100 has C = 0.96, x = 0.96 × 17 ÷ 60, m = 0.04.
        assertThat(folder.resolve("turned.csv")).hasContent("0xFFD982BC,0xFFFF0A50\n");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"convert to=hsv; x.png; Add --component hue, saturation or value", "convert to=cmyk; x.csv; Add --component cyan, magenta, yellow or key",
        "convert to=hsv; x.py; Add --component"})
    void aFileHoldsOneComponent(String step, String out, String message) throws IOException {
        assertThat(pixeron("run", two(), "--step", step, "--out", folder.resolve(out))).isEqualTo(2);
        assertThat(error).contains(message);
        assertThat(folder.resolve(out)).doesNotExist();
    }

    @Test
    void explainTellsEveryComponent() throws IOException {
        assertThat(pixeron("explain", two(), "--step", "convert to=hsv", "--at", "0,1")).isZero();
        assertThat(output).contains("hue         becomes 313", "saturation  becomes 96", "value       becomes 100", "mod 6       −38/49 + 6 = 256/49");
        assertThat(pixeron("explain", two(), "--step", "convert to=hsv", "--at", "0,1", "--component", "value")).isZero();
        assertThat(output).contains("V = X = 1").doesNotContain("saturation");
    }

    @Test
    void cellsHaveANumberForEachComponent() throws IOException {
        assertThat(pixeron("check", two(), "--step", "convert to=hsv", "--by-hand", file("mine.csv", "290 40 85,313 96 100\n"))).isZero();
        assertThat(pixeron("check", two(), "--step", "convert to=cmyk", "--by-hand", file("ink.csv", "6 40 0 15,0 96 22 1\n"), "--format", "json")).isEqualTo(1);
        assertThat(output).contains("\"component\" : \"key\"").contains("\"filled\" : 8", "\"agree\" : 7");
        assertThat(pixeron("check", two(), "--step", "convert to=hsv", "--by-hand", file("packed.csv", "0x290085,313 96 100\n"))).isEqualTo(2);
        assertThat(error).contains("hue, saturation, value");
    }

    @Test
    void tablesAreOfEachComponent() throws IOException {
        assertThat(pixeron("table", two(), "--step", "convert to=hsv", "--step", "equalize channels=value", "--table", "levels-value")).isZero();
        assertThat(output).contains("85");
    }
}
