package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Spectra on the command line: their faces, their picture, values by hand with one or both parts. */
class SpectrumCommandsTest extends CommandTest {

    /** F is 11 at (0, 0), −3 at (0, −1), −5 at (−1, 0), 1 at (−1, −1). */
    private Path square;
    /** F(±1) = −2 ± 2i, F(−2) = −2, F(0) = 10. */
    private Path row;

    @BeforeEach
    void makeImages() throws IOException {
        square = write("square.pgm", "P2 2 2 7  1 2  3 5");
        row = write("row.csv", "1,2,3,4\n");
    }

    private String face(String name, Path of, String... steps) throws IOException {
        Path out = folder.resolve(name + ".csv");
        Object[] words = new Object[6 + 2 * steps.length];
        words[0] = "run";
        words[1] = of;
        for (int n = 0; n < steps.length; n++) {
            words[2 + 2 * n] = "--step";
            words[3 + 2 * n] = steps[n];
        }
        System.arraycopy(new Object[] {"--component", name, "--out", out}, 0, words, 2 + 2 * steps.length, 4);
        assertThat(pixeron(words)).as(error).isZero();
        return Files.readString(out);
    }

    @Test
    void facesAreTables() throws IOException {
        assertThat(face("real", square, "fourier")).isEqualTo("1,-5\n-3,11\n");
        assertThat(face("magnitude", square, "fourier", "notch u=0 v=1")).isEqualTo("1,5\n0,11\n");
        assertThat(face("phase", row, "fourier")).isEqualTo("180,-135,0,135\n");
        assertThat(face("imaginary", row, "fourier", "frequency-filter keep=high radius=1")).isEqualTo("0,0,0,0\n");
        Path back = folder.resolve("back.csv");
        assertThat(pixeron("run", square, "--step", "fourier", "--step", "fourier-inverse", "--out", back)).isZero();
        assertThat(Files.readString(back)).isEqualTo("1,2\n3,5\n");
    }

    /** 7 · ln 2 ÷ ln 12 = 1.95, 7 · ln 6 ÷ ln 12 = 5.05, 7 · ln 4 ÷ ln 12 = 3.9. */
    @Test
    void asAPictureTheLogarithmIsDrawn() throws IOException {
        Path out = folder.resolve("picture.pgm");
        assertThat(pixeron("run", square, "--step", "fourier", "--out", out)).isZero();
        Path read = folder.resolve("read.csv");
        assertThat(pixeron("run", out, "--out", read)).isZero();
        assertThat(Files.readString(read)).isEqualTo("2,5\n4,7\n");
        assertThat(pixeron("run", square, "--step", "fourier", "--component", "log", "--out", out)).isZero();
        assertThat(pixeron("run", out, "--out", read)).isZero();
        assertThat(Files.readString(read)).isEqualTo("2,5\n4,7\n");
    }

    @Test
    void peaksAreATableWithoutAFace() throws IOException {
        assertThat(pixeron("table", row, "--step", "fourier", "--format", "json")).isZero();
        JsonNode rows = json().get("peaks").get("rows");
        assertThat(rows).hasSize(2);
        assertThat(rows.get(0).get(4).isNull()).as("nothing changes from row to row").isTrue();
        assertThat(rows.get(0).get(2).intValue()).isEqualTo(1);
        assertThat(rows.get(1).get(2).intValue()).isEqualTo(-2);
        Path peaks = write("peaks.csv", "rank,magnitude,period-columns\n1,2.83,4\n2,2,3\n");
        assertThat(pixeron("check", row, "--step", "fourier", "--table", "peaks", "--by-hand", peaks, "--format", "json")).isOne();
        assertThat(json().get("agree").intValue()).isEqualTo(3);
        assertThat(pixeron("table", row, "--step", "fourier", "--step", "notch u=0 v=1")).isEqualTo(2);
        assertThat(error).contains("no tables");
    }

    @Test
    void aWorkingIsThatOfOneFace() throws IOException {
        assertThat(pixeron("explain", row, "--step", "fourier", "--component", "phase", "--at", "0,3")).isZero();
        assertThat(output).contains("real        Σ r cos a = −2", "imaginary   −Σ r sin a = 2", "atan2(2, −2) = 135   degrees");
        assertThat(pixeron("explain", row, "--step", "fourier", "--component", "real", "--at", "0,3", "--format", "json")).isZero();
        assertThat(json().get("before").isNull()).isTrue();
        assertThat(json().get("after").intValue()).isEqualTo(-2);
    }

    /** A cell with both parts is two values, each checked on its own; others are of the face. */
    @Test
    void valuesByHandHaveOnePartOrBoth() throws IOException {
        Path right = write("right.csv", "-2,-2-2i,10,-2+2i\n");
        assertThat(pixeron("check", row, "--step", "fourier", "--component", "real", "--by-hand", right, "--format", "json")).isZero();
        assertThat(json().get("filled").intValue()).isEqualTo(6);
        // F(0, 0) = 28, F(−1, 0) = 4, F(0, ∓1) = ±8i.
        Path ribs = write("ribs.pgm", "P2 4 2 7  4 6 4 2  3 5 3 1");
        Path turned = write("turned.csv", "0,0,4,0i\n0,-8i,28,8i\n");
        assertThat(pixeron("check", ribs, "--step", "fourier", "--component", "magnitude", "--by-hand", turned, "--format", "json")).isOne();
        assertThat(json().get("filled").intValue()).as("five magnitudes, three times both parts").isEqualTo(11);
        assertThat(json().get("agree").intValue()).isEqualTo(9);
        assertThat(json().get("first").get("face").textValue()).isEqualTo("imaginary");
        assertThat(json().get("slips").get(0).get("id").textValue()).isEqualTo("sign-of-angle");
        assertThat(pixeron("check", ribs, "--step", "fourier", "--component", "magnitude", "--by-hand", turned)).isOne();
        assertThat(output).contains("imaginary: 3 filled · 1 agree · 2 differ");
    }

    @Test
    void whatIsMissingOrWrongIsSaidInOneLine() throws IOException {
        Path out = folder.resolve("never.csv");
        assertBad("a table of numbers stores one component. Add --component real, imaginary, magnitude, phase or log", "run", row, "--step", "fourier", "--out", out);
        assertBad("a working belongs to one component. Add --component", "explain", row, "--step", "fourier", "--at", "0,0");
        assertBad("values by hand belong to one component. Add --component", "check", row, "--step", "fourier", "--by-hand", row);
        assertBad("the result is a gray image", "run", row, "--step", "invert", "--component", "real", "--out", out);
        assertBad("the result has real, imaginary, magnitude, phase, log", "run", row, "--step", "fourier", "--component", "red", "--out", out);
        assertBad("pixeron: Step 1: notch needs a spectrum. Add a Fourier transform before it.\n", "run", row, "--step", "notch u=1 v=0", "--out", out);
        assertBad("Step 2: invert needs an image, but its input is a spectrum. Add an inverse Fourier transform (fourier-inverse) before it", "run", row, "--step", "fourier", "--step", "invert",
                "--out", out);
        assertBad("not allowed. Give a number of at least 0", "run", row, "--step", "fourier", "--step", "frequency-filter keep=low radius=-1", "--out", out);
        assertBad("to=1 is below radius=2", "run", row, "--step", "fourier", "--step", "frequency-filter keep=band radius=2 to=1", "--out", out);
        assertThat(out).doesNotExist();
    }
}
