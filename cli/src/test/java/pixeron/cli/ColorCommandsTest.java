package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Color images on the command line, calculated by hand on two rows of two inks. */
class ColorCommandsTest extends CommandTest {

    private static final String RED_UP = "add amount=20 channels=red";
    private Path inks;

    @BeforeEach
    void makeInks() throws IOException {
        inks = write("inks.ppm", "P3 2 2 255\n71 171 172  250 10 20\n100 150 200  0 0 255\n");
    }

    private String face(Path color, String face) throws IOException {
        Path table = folder.resolve(face + ".csv");
        assertThat(pixeron("run", color, "--face", face, "--out", table)).isZero();
        return Files.readString(table);
    }

    @Test
    void picturesAreWrittenInColorAndOneFaceAsATable() throws IOException {
        Path out = folder.resolve("more.png");
        assertThat(pixeron("run", inks, "--step", RED_UP, "--out", out)).isZero();
        assertThat(face(out, "red")).isEqualTo("91,255\n120,20\n");
        assertThat(face(out, "green")).isEqualTo("171,10\n150,0\n");
        assertThat(pixeron("run", inks, "--step", "reorder order=\"blue green red\"", "--out", out)).isZero();
        assertThat(face(out, "red")).isEqualTo("172,20\n200,255\n");
        assertBad("The result is a color image, but a table of numbers stores one channel", "run", inks, "--out", folder.resolve("a.csv"));
        assertBad("the result is a gray image; only color images, color models and spectra have components", "run", image, "--face", "red", "--out", folder.resolve("a.csv"));
        assertBad("--component alpha: the result has red, green, blue", "run", inks, "--face", "alpha", "--out", folder.resolve("a.csv"));
        assertBad(".pgm cannot store color images. Use .png", "run", inks, "--out", folder.resolve("a.pgm"));
        assertThat(folder.resolve("a.csv")).doesNotExist();
    }

    @Test
    void grayStandsInFrontOrAnywhere() throws IOException {
        Path out = folder.resolve("gray.csv");
        assertThat(pixeron("run", inks, "--gray", "mean", "--step", "invert", "--out", out)).isZero();
        assertThat(Files.readString(out)).as("255 − 138, 255 − 93 …").isEqualTo("117,162\n105,170\n");
        assertThat(pixeron("run", inks, "--step", "invert", "--step", "gray", "--out", out)).isZero();
        assertThat(Files.readString(out)).isEqualTo("117,162\n105,170\n");
        assertThat(error).as("nothing that the line does not say").isEmpty();
        Path clear = write("clear.pam", "P7\nWIDTH 1\nHEIGHT 1\nDEPTH 4\nMAXVAL 255\nTUPLTYPE RGB_ALPHA\nENDHDR\nABC\u0000");
        assertThat(pixeron("run", clear, "--step", "gray", "--out", out)).isZero();
        assertThat(Files.readString(out)).as("on white").isEqualTo("255\n");
        assertThat(error).contains("Step 1: Gray is calculated by mean", "1 pixels are transparent");
        assertThat(pixeron("run", inks, "--step", "gray rule=weights weights=\"0 0 1\" area=\"0 0 1 2\"", "--out", folder.resolve("p.ppm"))).isZero();
        assertThat(face(folder.resolve("p.ppm"), "red")).isEqualTo("172,20\n100,0\n");
        assertBad("pixeron: Step 1: gray needs a color image, but its input is an image.\n", "run", image, "--step", "gray", "--out", out);
        assertBad("Channels (channels) applies to color images only", "run", image, "--step", RED_UP, "--out", out);
    }

    @Test
    void aPixelIsExplainedWholeOrOneChannelOfIt() throws IOException {
        assertThat(pixeron("explain", inks, "--step", RED_UP, "--at", "0,1")).isZero();
        assertThat(output).contains("packed      0xFFFA0A14     11111111 11111010 00001010 00010100",
                "00000000 11111010 00000000 00000000  right by 16 = 0xFA = 250", "s = 250 + 20", "green       10   as it is",
                "together    or             11111111 11111111 00001010 00010100 = 0xFFFF0A14");
        assertThat(pixeron("explain", inks, "--step", RED_UP, "--at", "0,1", "--format", "json")).isZero();
        JsonNode whole = json();
        assertThat(whole.at("/components/red/exact").intValue()).isEqualTo(270);
        assertThat(whole.at("/faces/red/after").intValue()).isEqualTo(255);
        assertThat(whole.at("/faces/blue/after").intValue()).isEqualTo(20);
        assertThat(whole.get("packed").textValue()).isEqualTo("0xFFFF0A14");
        assertThat(pixeron("explain", inks, "--step", RED_UP, "--at", "0,1", "--face", "red", "--format", "json")).isZero();
        assertThat(json().get("before").intValue()).isEqualTo(250);
        assertThat(json().get("after").intValue()).isEqualTo(255);
        assertThat(pixeron("explain", inks, "--step", "gray", "--at", "0,0", "--format", "json")).isZero();
        assertThat(json().get("before").isNull()).as("three channels stand before it").isTrue();
        assertThat(json().get("after").intValue()).isEqualTo(138);
        assertThat(pixeron("explain", inks, "--step", RED_UP, "--at", "0,1", "--face", "green")).isZero();
        assertThat(output).contains("green  10   as it is");
    }

    @Test
    void tablesCarryTheNameOfTheirChannel() throws IOException {
        assertThat(pixeron("table", inks, "--step", "equalize", "--format", "json")).isZero();
        assertThat(json().fieldNames()).toIterable().contains("histogram-red", "levels-red", "levels-green", "levels-blue")
                .doesNotContain("levels", "levels-alpha");
        assertThat(pixeron("table", inks, "--step", "equalize channels=green", "--table", "levels-green", "--format", "csv")).isZero();
        assertThat(output).contains("10,1,0.25,2,127.5,128");
        assertBad("It has histogram-red, levels-red, constants-red, histogram-green, levels-green, constants-green, histogram-blue, levels-blue, constants-blue", "table", inks, "--step", "equalize", "--table", "levels");
    }

    /** Packed, as three numbers, and one channel alone: 250 + 20 was left to run over into 14 in the channel of red itself. */
    @Test
    void valuesByHandArePackedOrThreeNumbersOrOfOneFace() throws IOException {
        Path right = write("right.csv", "0xFF5BABAC,255 10 20\n,20 0 255\n");
        assertThat(pixeron("check", inks, "--step", RED_UP, "--by-hand", right, "--format", "json")).isZero();
        assertThat(json().get("filled").intValue()).isEqualTo(9);
        Path wrong = write("wrong.csv", "0x5BABAC,14 10 20\n120 150 200,0 0 20\n");
        assertThat(pixeron("check", inks, "--step", RED_UP, "--by-hand", wrong, "--format", "json")).isEqualTo(1);
        assertThat(json().at("/first/face")).as("its earlier name is written as well").isEqualTo(json().at("/first/component"));
        assertThat(json().at("/first/component").textValue()).isEqualTo("red");
        assertThat(json().at("/first/column").intValue()).isEqualTo(1);
        assertThat(json().get("differ").intValue()).isEqualTo(3);
        assertThat(json().get("cells")).anyMatch(cell -> cell.get("face").textValue().equals("blue") && cell.get("row").intValue() == 1
                && cell.get("column").intValue() == 1 && cell.get("byHand").textValue().equals("20"));
        assertThat(pixeron("check", inks, "--step", RED_UP, "--by-hand", wrong)).isEqualTo(1);
        assertThat(output).contains("red, row 0, column 1: you wrote 14; the correct value is 255");
        Path red = write("red.csv", "91,270\n120,20\n");
        assertThat(pixeron("check", inks, "--step", RED_UP, "--by-hand", red, "--face", "red", "--format", "json")).isEqualTo(1);
        assertThat(json().at("/first/face").textValue()).isEqualTo("red");
        assertThat(json().at("/cells/1/value").intValue()).isEqualTo(255);
        assertBad("is neither a packed value such as 0xFF204A8F nor three numbers", "check", inks, "--step", RED_UP, "--by-hand", red);
        assertThat(pixeron("check", inks, "--step", RED_UP, "--by-hand", red, "--face", "blue")).as("a channel that stays is checked as well").isEqualTo(1);
        assertBad("Choose the one of the table with --component", "check", inks, "--step", RED_UP, "--by-hand", red, "--table", "levels");
    }

    /** Packed, with one wrong; a picture; a table of another size. */
    @Test
    void aFolderOfAnswersInColor() throws IOException {
        Files.createDirectories(folder.resolve("answers"));
        write("answers/a.csv", "0xFF5BABAC,255 10 20\n,20 0 255\n");
        write("answers/b.csv", "0x5BABAC,14 10 20\n120 150 200,20 0 255\n");
        write("answers/c.csv", "red,7\n");
        assertThat(pixeron("run", inks, "--step", RED_UP, "--out", folder.resolve("answers/d.png"))).isZero();
        Path out = folder.resolve("results.csv");
        assertThat(pixeron("check", inks, "--step", RED_UP, "--by-hand", folder.resolve("answers"), "--out", out)).isEqualTo(1);
        List<String> rows = Files.readAllLines(out);
        assertThat(rows.get(1)).startsWith("a.csv,9,9,0,,,0.75,");
        assertThat(rows.get(2)).startsWith("b.csv,12,11,1,,,0.917");
        assertThat(rows.get(3)).contains("c.csv,,,,,,", "neither a packed value");
        assertThat(rows.get(4)).startsWith("d.png,12,12,0,,,1,");
    }

    @Test
    void aReportInColorHasEachChannelAndTheSlipOfAll() throws IOException {
        Path swapped = write("swapped.csv", "172 171 91,20 10 255\n200 150 120,255 0 20\n");
        Path out = folder.resolve("report.md");
        assertThat(pixeron("report", inks, "--step", RED_UP, "--by-hand", swapped, "--out", out)).isZero();
        String report = Files.readString(out);
        assertThat(report).contains("in color", "### Red", "### Green", "### Blue", "12 of 12 filled", "when red and blue are swapped", "(Channels swapped)");
        assertThat(pixeron("report", inks, "--step", RED_UP, "--out", out)).isZero();
        assertThat(Files.readString(out)).contains("### Red", "0xFF5BABAC").doesNotContain("### Green");
    }

    /** 40 is added to the bytes of the whole number: 250 + 40 = 290 lifts alpha, which nobody sees, and leaves 34. */
    @Test
    void slipsOfColorHaveTheirNames() throws IOException {
        Path swapped = write("swapped.csv", "192 191 91,40 30 255\n220 170 120,255 20 20\n");
        assertThat(pixeron("check", inks, "--step", "add amount=20", "--by-hand", swapped, "--format", "json")).isEqualTo(1);
        assertThat(json().at("/slips/0/id").textValue()).isEqualTo("channels-swapped");
        Path carried = write("carried.csv", "0x6FD3D4,0x22323C\n0x8CBEF0,0x282927\n");
        assertThat(pixeron("check", inks, "--step", "add amount=40", "--by-hand", carried, "--format", "json")).isEqualTo(1);
        assertThat(json().at("/slips/0/id").textValue()).isEqualTo("carried-over");
    }

    @Test
    void comparingTellsEachChannel() throws IOException {
        Path other = write("other.ppm", "P3 2 2 255\n71 171 172  250 10 20\n100 150 200  0 6 255\n");
        assertThat(pixeron("compare", inks, other, "--format", "json")).isEqualTo(1);
        assertThat(json().get("agree").intValue()).isEqualTo(11);
        assertThat(json().get("mse").doubleValue()).isEqualTo(3);
        assertThat(json().at("/components/green/differ").intValue()).isEqualTo(1);
        assertThat(json().at("/faces/red/psnr").isNull()).isTrue();
        assertThat(pixeron("compare", inks, inks)).isZero();
        assertThat(pixeron("compare", inks, other, "--gray", "mean", "--format", "json")).isEqualTo(1);
        assertThat(json().has("faces")).isFalse();
        assertThat(json().get("maxAbsolute").intValue()).isEqualTo(2);
        assertBad("pixeron: One is a color image, the other is an image. Convert one of them with --gray RULE or a gray step.\n", "compare", inks, image);
    }
}
