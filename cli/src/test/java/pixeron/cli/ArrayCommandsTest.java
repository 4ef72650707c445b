package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Arrays as programs write them, on the command line. */
class ArrayCommandsTest extends CommandTest {

    private Path file(String name, String text) throws IOException {
        return Files.writeString(folder.resolve(name), text);
    }

    @Test
    void factsSumUpWhatWasRead() throws IOException {
        assertThat(pixeron("facts", file("a.py", "image = np.array([[52, 55], [61, 59]], dtype=np.uint8)\n"))).isZero();
        assertThat(output).contains("summary    Array, 2 × 2, uint8, levels 0–255");
    }

    @ParameterizedTest
    @CsvSource({"a.py,'image = [\n    [52, 55],\n    [61, 59],\n]\n'", "a.json,'[[52,55],[61,59]]\n'", "a.md,'| | 0 | 1 |\n|---:|---:|---:|\n| 0 | 52 | 55 |\n| 1 | 61 | 59 |\n'"})
    void theEndingChoosesTheNotation(String name, String text) throws IOException {
        Path table = file("table.csv", "52,55\n61,59\n");
        assertThat(pixeron("run", table, "--out", folder.resolve(name))).isZero();
        assertThat(folder.resolve(name)).hasContent(text);
        assertThat(pixeron("compare", table, folder.resolve(name))).isZero();
    }

    @Test
    void asChoosesItForAnyEnding() throws IOException {
        Path table = file("table.csv", "52,55\n61,59\n");
        assertThat(pixeron("run", table, "--step", "invert", "--as", "java", "--out", folder.resolve("a.txt"))).isZero();
        assertThat(folder.resolve("a.txt")).hasContent("int[][] image = {\n    {203, 200},\n    {194, 196},\n};\n");
        assertThat(pixeron("run", table, "--as", "pascal", "--out", folder.resolve("b.txt"))).isEqualTo(2);
        assertThat(folder.resolve("b.txt")).doesNotExist();
    }

    @Test
    void whatIsOpenInAnArrayIsChosenByOptions() throws IOException {
        Path bytes = file("bytes.txt", "{{52, -1}, {-128, 0}}");
        assertThat(pixeron("run", bytes, "--out", folder.resolve("b.csv"))).isEqualTo(2);
        assertThat(error).contains("--signed-bytes");
        assertThat(pixeron("run", bytes, "--signed-bytes", "--out", folder.resolve("b.csv"))).isZero();
        assertThat(folder.resolve("b.csv")).hasContent("52,255\n128,0\n");
        Path packed = file("packed.txt", "[[-13341780, 16744448]]");
        assertThat(pixeron("run", packed, "--packed", "rgb", "--component", "red", "--out", folder.resolve("red.csv"))).isZero();
        assertThat(folder.resolve("red.csv")).hasContent("52,255\n");
        assertThat(pixeron("run", file("flat.txt", "[52, 55, 61, 59]"), "--columns", "2", "--out", folder.resolve("c.csv"))).isZero();
        assertThat(folder.resolve("c.csv")).hasContent("52,55\n61,59\n");
        assertThat(pixeron("run", file("planes.txt", "[[[1, 2], [3, 4]], [[5, 6], [7, 8]], [[9, 10], [11, 12]]]"), "--component", "green", "--out", folder.resolve("g.csv"))).isZero();
        assertThat(folder.resolve("g.csv")).hasContent("5,6\n7,8\n");
    }

    /** 255 − 52 = 203, 255 − 55 = 200; nan is a cell that is not filled. */
    /** A program that indexes x first writes columns where an image has rows. */
    @Test
    void rowsBecomeColumns() throws IOException {
        Path array = file("a.txt", "[[52, 55, 61], [59, 79, 61]]");
        assertThat(pixeron("run", array, "--swap", "--out", folder.resolve("b.csv"))).isZero();
        assertThat(folder.resolve("b.csv")).hasContent("52,59\n55,79\n61,61\n");
        Path mine = file("mine.csv", "203,196\n200,176\n194,194\n");
        assertThat(pixeron("check", array, "--step", "invert", "--by-hand", mine, "--swap")).isZero();
    }

    @Test
    void valuesByHandMayBeAnArrayToo() throws IOException {
        Path table = file("table.csv", "52,55\n61,59\n");
        assertThat(pixeron("check", table, "--step", "invert", "--by-hand", file("mine.py", "after = [\n    [203, 200],\n    [nan, 196],\n]\n"))).isZero();
        assertThat(output).contains("3 filled");
        assertThat(pixeron("check", table, "--step", "invert", "--by-hand", file("mine.txt", "     [,1] [,2]\n[1,]  203  200\n[2,]  194  195\n"))).isEqualTo(1);
    }
}
