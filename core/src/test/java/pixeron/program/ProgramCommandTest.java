package pixeron.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.image.Area;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.step.catalog.StepLine;

class ProgramCommandTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {"python3 mine.py {in} {out} | python3,mine.py,{in},{out}", "\"my prog\" {in} {out} | my prog,{in},{out}",
        "a 'b c'd {in.pgm} {out} | a,b cd,{in.pgm},{out}", "a\\ b --in={in} --out={out} | a b,--in={in},--out={out}", "  x   {in}\t{out}  | x,{in},{out}"})
    void isPartedAtBlanks(String text, String words) {
        assertThat(ProgramCommand.parse(text).words()).containsExactly(words.split(","));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {"`` | is empty", "x {out} | {in}", "x {in} {out.bmp} | {out.bmp} is unknown",
        "x {in.gif} {out} | {in.gif} is unknown", "x \"{in} {out} | Character 3 of the command:", "x '{in} {out} | the closing quote is missing"})
    void saysWhatIsMissing(String text, String message) {
        assertThatThrownBy(() -> ProgramCommand.parse(text)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
    }

    /** A program that lies where the user is, is found from the folder that it runs in; names in the path stay. */
    @Test
    void filesOfThePersonAreFoundFromAnywhere(@TempDir Path folder) throws IOException {
        Path mine = Files.writeString(folder.resolve("mine.py"), "");
        Files.writeString(folder.resolve("python3"), "");
        List<String> words = ProgramCommand.parse("python3 mine.py other.py --from={in} {in.pgm} {out}").with(folder, (name, ending) -> Path.of("/there", name + "." + ending));
        assertThat(words).containsExactly("python3", mine.toAbsolutePath().normalize().toString(), "other.py", "--from=/there/in.csv", "/there/in.pgm", "/there/out.csv");
        assertThat(ProgramCommand.parse("x {in} {in.pgm} {with.png} {out}").files()).isEqualTo(Map.of("{in}", "csv", "{in.pgm}", "pgm", "{with.png}", "png", "{out}", "csv"));
    }

    /** Levels from 0 to M, each about equally often, and the same for the same seed. */
    @Property(tries = 20)
    void imagesByChanceHaveAllLevels(@ForAll long seed) {
        Image image = drawn(new Frame(40, 50, 7), seed);
        assertThat(image).isEqualTo(drawn(new Frame(40, 50, 7), seed)).isNotEqualTo(drawn(new Frame(40, 50, 7), seed + 1));
        int[] counts = new int[8];
        for (int n = 0; n < image.count(); n++) {
            counts[image.level(n)]++;
        }
        // 2000 levels, 250 of each, with a deviation of 15: so far from it none ever is.
        assertThat(Arrays.stream(counts)).allMatch(count -> count > 130 && count < 370);
    }

    private static Image drawn(Frame frame, long seed) {
        return (Image) ProgramCheck.drawn(Image.ofLevels(1, 1, 255, n -> 0), frame, seed);
    }

    /** The planes are drawn one after the other, so red is what a gray image would be. */
    @Test
    void anImageInColorIsDrawnPlaneByPlane() {
        Image level = Image.ofLevels(1, 1, 255, n -> 0);
        Frame frame = new Frame(2, 3, 255);
        Result color = ProgramCheck.drawn(new ColorImage(level, level, level, Optional.of(level)), frame, 5);
        assertThat(color.faces()).hasSize(4);
        assertThat(color.faces().get(0).image()).isEqualTo(drawn(frame, 5));
        assertThat(color.faces().get(3).image()).isEqualTo(drawn(new Frame(8, 3, 255), 5).part(new Area(6, 0, 2, 3)));
    }

    @Test
    void whatACommandReadsMustBeThere() {
        Image gray = Image.of(255, new int[][] {{1, 2}});
        ProgramCheck.Conditions conditions = new ProgramCheck.Conditions(1, ProgramLimits.ofSeconds(1), Path.of(""), Image.VALUE);
        Chain plain = Chain.of(gray).withStep(0, StepLine.parse("invert"));
        assertThatThrownBy(() -> new ProgramCheck(ProgramCommand.parse("x {in} {with} {out}"), plain, conditions)).hasMessageContaining("The command reads {with}, but no step uses another image");
    }
}
