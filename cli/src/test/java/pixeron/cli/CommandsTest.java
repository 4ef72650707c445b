package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

class CommandsTest extends CommandTest {

    private static final String STRETCHED = "linear gain=3.75 bias=-360";

    @Test
    void runWritesTheLastResult() throws IOException {
        Path out = folder.resolve("after.csv");
        // 3.75·137 − 360 = 153.75; 3.75; 0; 255; 7.5; 18.75
        assertThat(pixeron("run", image, "--step", STRETCHED, "--out", out)).isZero();
        assertThat(Files.readString(out)).isEqualTo("154,4,0\n255,8,19\n");
        assertThat(pixeron("run", image, "--step", STRETCHED, "--step", "invert", "--out", out)).isZero();
        assertThat(Files.readString(out)).isEqualTo("101,251,255\n0,247,236\n");
        assertThat(pixeron("run", image, "--step", "divide divisor=9 rounding=none", "--exact", "--out", out)).isZero();
        assertThat(Files.readString(out)).isEqualTo("137/9,97/9,32/3\n164/9,98/9,101/9\n");
        assertThat(pixeron("run", image, "--step", "divide divisor=9 rounding=none", "--out", out)).isZero();
        assertThat(Files.readString(out)).startsWith("15.222222222222221,10.777777777777779,10.666666666666666\n");
        assertThat(pixeron("run", out, "--open", "--out", folder.resolve("copy.csv"))).isZero();
        assertThat(folder.resolve("copy.csv")).hasSameTextualContentAs(out);
        assertThat(pixeron("run", image, "--max", "255", "--out", folder.resolve("copy.pgm"))).isZero();
        assertThat(pixeron("compare", image, folder.resolve("copy.pgm"))).isZero();
    }

    @Test
    void factsSayWhatIsThere() throws IOException {
        assertThat(pixeron("facts", image, "--format", "json")).isZero();
        JsonNode facts = json();
        assertThat(facts.get("rows").intValue()).isEqualTo(2);
        assertThat(facts.get("columns").intValue()).isEqualTo(3);
        assertThat(facts.get("maximumLevel").intValue()).isEqualTo(255);
        assertThat(facts.get("open").booleanValue()).isFalse();
        assertThat(facts.get("smallest").intValue()).isEqualTo(96);
        assertThat(facts.get("largest").intValue()).isEqualTo(164);
        assertThat(facts.get("mean").doubleValue()).isEqualTo(693 / 6.0);
        assertThat(facts.get("distinct").intValue()).isEqualTo(6);
        assertThat(facts.get("format").textValue()).isEqualTo("table");
        assertThat(facts.get("channels").intValue()).isEqualTo(1);
        assertThat(pixeron("facts", image, "--max", "200")).isZero();
        assertThat(output).contains("levels     0–200").contains("mean       115.5");
    }

    @Test
    void explainShowsTheWorkingInFourForms() throws IOException {
        assertThat(pixeron("explain", image, "--step", STRETCHED, "--at", "0,0")).isZero();
        assertThat(output).contains("s = 3.75 × 137 + (−360)").contains("153.75 → 154");
        assertThat(pixeron("explain", image, "--step", STRETCHED, "--at", "0,0", "--format", "latex")).isZero();
        assertThat(output).contains("\\times").contains("\\rightarrow").startsWith("\\[").doesNotContain("×");
        assertThat(pixeron("explain", image, "--step", STRETCHED, "--at", "0,0", "--format", "html")).isZero();
        assertThat(output).contains("<span class=\"before\">137</span>").contains("<span class=\"after\">154</span>");
        assertThat(pixeron("explain", image, "--step", STRETCHED, "--at", " 1 , 1", "--format", "json")).isZero();
        assertThat(json().get("before").intValue()).isEqualTo(98);
        assertThat(json().get("exact").doubleValue()).isEqualTo(7.5);
        assertThat(json().get("after").intValue()).isEqualTo(8);
        assertThat(json().get("lines")).hasSize(6);
    }

    @Test
    void checkMarksEveryCellAndNamesTheSlip() throws IOException {
        Path hand = write("hand.csv", "153,3,0\n255,7,18.75\n");
        assertThat(pixeron("check", image, "--step", STRETCHED, "--by-hand", hand, "--format", "json")).isEqualTo(1);
        JsonNode check = json();
        assertThat(check.get("filled").intValue()).isEqualTo(6);
        assertThat(check.get("agree").intValue()).isEqualTo(2);
        assertThat(check.get("differ").intValue()).isEqualTo(4);
        assertThat(check.get("first").get("row").intValue()).isZero();
        assertThat(check.get("cells").get(5).get("state").textValue()).isEqualTo("not-rounded");
        assertThat(check.get("cells").get(0).get("byHand").textValue()).isEqualTo("153");
        assertThat(check.get("cells").get(0).get("value").intValue()).isEqualTo(154);
        JsonNode slip = check.get("slips").get(0);
        assertThat(slip.get("id").textValue()).isEqualTo("rounded-down");
        assertThat(slip.get("explains").intValue()).isEqualTo(3);
        assertThat(slip.get("of").intValue()).isEqualTo(4);
        assertThat(pixeron("check", image, "--step", STRETCHED, "--by-hand", hand)).isEqualTo(1);
        assertThat(output).contains("6 filled · 2 agree · 4 differ").contains("you wrote 153; the correct value is 154 (−1)");
        assertThat(pixeron("check", image, "--step", STRETCHED, "--by-hand", hand, "--tolerance", "1")).isZero();
    }

    @Test
    void aFolderOfTablesGivesARowForEach() throws IOException {
        Path answers = Files.createDirectories(image.resolveSibling("answers"));
        Files.writeString(answers.resolve("b.csv"), "153,3,0\n255,7,18\n");
        Files.writeString(answers.resolve("a.csv"), "154,4,0\n255,8,19\n");
        Files.writeString(answers.resolve("c.csv"), "1,2\n");
        Files.writeString(answers.resolve("notes.md"), "not a table");
        Path out = image.resolveSibling("results.csv");
        assertThat(pixeron("check", image, "--step", STRETCHED, "--by-hand", answers, "--out", out)).isEqualTo(1);
        assertThat(output).contains("3 tables checked");
        assertThat(Files.readAllLines(out)).hasSize(4).startsWith("file,filled,agree,differ,first slip,first slip title,score,problem",
                "a.csv,6,6,0,,,1,", "b.csv,6,2,4,rounded-down,Rounded down,0.333,");
        assertThat(Files.readString(out)).contains("c.csv,2,0,2,,,0,\"The table has 1 × 2 cells, the result has 2 × 3");
        assertBad("is a folder. Add --out results.csv", "check", image, "--step", STRETCHED, "--by-hand", answers);
        assertBad("--out works with a folder of tables", "check", image, "--step", STRETCHED, "--by-hand",
                answers.resolve("a.csv"), "--out", out);
    }

    /** The last pixel of the rectangle is row 1, column 1: who writes that for its size has one cell. */
    @Test
    void aTableOfAnotherShapeIsComparedWhereBothHaveCells() throws IOException {
        String crop = "crop row=0 column=1 height=2 width=1";
        Path right = write("right.csv", "97\n98\n");
        assertThat(pixeron("check", image, "--step", crop, "--by-hand", right)).isZero();
        Path larger = write("larger.csv", "97,96\n98,0\n");
        assertThat(pixeron("check", image, "--step", crop, "--by-hand", larger, "--format", "json")).isEqualTo(1);
        assertThat(json().get("agree").intValue()).isEqualTo(2);
        assertThat(json().get("differ").intValue()).isZero();
        assertThat(json().get("slips")).isEmpty();
        // The last pixel, row 1, column 1, written for height and width.
        Path misread = write("misread.csv", "97\n");
        assertThat(pixeron("check", image, "--step", crop, "--by-hand", misread, "--format", "json")).isEqualTo(1);
        assertThat(json().get("slips").get(0).get("id").textValue()).isEqualTo("corner-for-size");
        assertBad("--at 0,1 is outside the result of 2 rows and 1 columns", "explain", image, "--step", crop, "--at", "0,1");
    }

    @Test
    void aRightOrEmptySheetHasNothingToSay() throws IOException {
        Path hand = write("hand.csv", "154,,0\n255,8,\n");
        assertThat(pixeron("check", image, "--step", STRETCHED, "--by-hand", hand, "--format", "json")).isZero();
        assertThat(json().get("filled").intValue()).isEqualTo(4);
        assertThat(json().get("first").isNull()).isTrue();
        assertThat(json().get("slips")).isEmpty();
        Path blank = write("blank.csv", ",,\n,,\n");
        assertThat(pixeron("check", image, "--step", STRETCHED, "--by-hand", blank, "--format", "json")).isZero();
        assertThat(json().get("cells")).isEmpty();
    }

    @Test
    void compareMeasures() throws IOException {
        Path other = write("other.txt", "137 97 96\n164 98 105\n");
        assertThat(pixeron("compare", image, other, "--format", "json")).isEqualTo(1);
        assertThat(json().get("differ").intValue()).isEqualTo(1);
        assertThat(json().get("maxAbsolute").intValue()).isEqualTo(4);
        assertThat(json().get("mse").doubleValue()).isEqualTo(16 / 6.0);
        assertThat(pixeron("compare", image, image, "--format", "json")).isZero();
        assertThat(json().get("psnr").isNull()).isTrue();
    }

    @Test
    void badUseIsOneLineAndWritesNothing() throws IOException {
        Path out = folder.resolve("out.csv");
        Files.writeString(out, "old");
        assertBad("no step \"ad\"; did you mean \"add\"?", "run", image, "--step", "ad amount=1", "--out", out);
        assertBad("Step 2, \"divide divisor=0\"", "run", image, "--step", "invert", "--step", "divide divisor=0",
                "--out", out);
        assertBad("“out.doc” has no known ending", "run", image, "--out", folder.resolve("out.doc"));
        assertBad("no folder", "run", image, "--out", folder.resolve("missing/out.csv"));
        assertBad("Step 1: The area", "run", image, "--step", "invert area=\"0 0 3 3\"", "--out", out);
        assertBad("There is no file", "facts", folder.resolve("nothing.pgm"));
        assertBad("No step given", "explain", image, "--at", "0,0");
        assertBad("--at 2,0 is outside the result of 2 rows and 3 columns", "explain", image, "--step", "invert", "--at", "2,0");
        assertBad("Use ROW,COLUMN", "explain", image, "--step", "invert", "--at", "2");
        assertBad("column 0 (counted from 0): 137 is not a whole number from 0 to 100", "facts", image, "--max", "100");
        assertBad("from 1 to 65535", "facts", image, "--max", "0");
        assertBad("--max many is not a whole number from 1 to 65535", "facts", image, "--max", "many");
        assertBad("no table \"otsu\". It has histogram, levels", "table", image, "--step", "invert", "--table", "otsu");
        assertThat(Pixeron.isCommand("table", "proof.pgm")).isTrue();
        assertBad("Unknown option: '--loud'", "facts", image, "--loud");
        assertBad("Missing required", "check", image, "--step", "invert");
        assertBad("hand.csv: Row 1 (counted from 0) of the table has 2 cells, but the result has 3", "check", image, "--step",
                "invert", "--by-hand", write("hand.csv", "1,2,3\n1,2\n"));
        assertBad("\"abc\" is neither a number nor an expression", "check", image, "--step", "invert",
                "--by-hand", write("hand.csv", "1,2,3\n1,2,abc\n"));
        assertThat(out).hasContent("old");
        assertBad("A command is missing");
    }

    @Test
    void colorIsMadeGrayByANamedRule() throws IOException {
        Path color = write("color.ppm", "P3 2 1 255\n10 20 31  255 255 254\n");
        Path out = folder.resolve("gray.csv");
        assertThat(pixeron("gray", color, "--rule", "mean", "--out", out)).isZero();
        assertThat(out).hasContent("20,255");
        assertThat(pixeron("run", color, "--gray", "weights 0 0 1", "--step", "invert", "--out", out)).isZero();
        assertThat(out).hasContent("224,1");
        assertThat(pixeron("facts", color, "--gray", "luma-709", "--format", "json")).isZero();
        assertThat(json().get("channels").intValue()).isEqualTo(3);
        assertThat(json().get("transparentPixels").intValue()).isZero();
        assertThat(json().get("notes").get(0).textValue()).contains("luma-709: gray = 0.2126 × R");
        assertThat(pixeron("facts", color, "--format", "json")).isZero();
        // 10 20 31 255 255 254: sum 825
        assertThat(json().get("mean").doubleValue()).isEqualTo(825 / 6.0);
        assertThat(json().get("rows").intValue()).isEqualTo(1);
        assertThat(json().get("bits").intValue()).isEqualTo(8);
        assertThat(json().get("channelFacts").get(2).get("smallest").intValue()).isEqualTo(31);
        assertThat(json().get("columnMajor").textValue()).isEqualTo("0: (0, 0)  1: (0, 1)");
        assertThat(pixeron("facts", color)).isZero();
        assertThat(output).contains("blue     smallest 31, largest 254");
        assertBad("The image has 1 × 2 pixels, more than the limit of 1 pixels (--most-pixels)", "facts", color, "--most-pixels", "1");
        assertBad("a table of numbers stores one channel. Add --component red", "run", color, "--out", folder.resolve("color.csv"));
        assertBad("\"sepia\" is not a valid gray rule", "gray", color, "--rule", "sepia", "--out", out);
        assertBad("is already gray", "gray", image, "--rule", "mean", "--out", out);
        assertThat(pixeron("run", color, "--gray", "mean", "--out", folder.resolve("gray.jpg"))).isZero();
        assertThat(error).contains("lossy format").hasLineCount(1);
    }

    @Test
    void whatAPersonShouldKnowOfAStepIsSaid() throws IOException {
        Path flat = write("flat.csv", "3,3\n");
        Path out = folder.resolve("flat.pgm");
        assertThat(pixeron("run", flat, "--max", "7", "--step", "stretch", "--out", out)).isZero();
        assertThat(error).contains("Step 1: low and high are both 3");
        assertThat(pixeron("explain", write("sort.csv", "0,0,3,5\n"), "--max", "7", "--step", "equalize", "--at", "0,2"))
                .isZero();
        assertThat(output).contains("s = 7 × 3 ÷ 4").contains("5.25 → 5");
    }

    /** Calculated by hand: levels 0 0 3 5 of three bits. */
    @Test
    void tablesAreWrittenInThreeForms() throws IOException {
        Path sort = write("sort.csv", "0,0,3,5\n");
        assertThat(pixeron("table", sort, "--max", "7", "--step", "equalize", "--format", "json")).isZero();
        JsonNode levels = json().get("levels");
        assertThat(levels.get("columns").toString()).isEqualTo("[\"k\",\"n\",\"p\",\"running\",\"exact\",\"s\"]");
        assertThat(levels.get("rows").get(0).toString()).isEqualTo("[0,2,0.5,2,3.5,4]");
        assertThat(levels.get("rows").get(3).toString()).isEqualTo("[3,1,0.25,3,5.25,5]");
        assertThat(levels.get("rows").size()).isEqualTo(8);
        assertThat(json().get("histogram").get("rows").get(5).toString()).isEqualTo("[5,1,0.25]");
        assertThat(pixeron("table", sort, "--max", "7", "--step", "threshold-otsu", "--table", "otsu", "--format",
                "csv")).isZero();
        // t = 0: classes 0 0 | 3 5: between ¼ · 16 = 4, within ½ · 1; t = 3: 0 0 3 | 5: ¾ · ¼ · 16 = 3, within ¾ · 2
        assertThat(output.lines()).contains("t,n0,n1,w0,w1,mean0,mean1,variance0,variance1,within,between,total",
                "0,2,2,0.5,0.5,0,4,0,1,0.5,4,4.5", "3,3,1,0.75,0.25,1,5,2,0,1.5,3,4.5").hasSize(6);
        assertThat(pixeron("table", sort, "--max", "7", "--step", "threshold-iterative", "--table", "two-means"))
                .isZero();
        // t = 2, means 0 and 4: next 2, change 0
        assertThat(output.replaceAll(" +", " ").strip()).isEqualTo(
                "round t n0 n1 mean0 mean1 next change\n 1 2 2 2 0 4 2 0");
    }

    @Test
    void newImagesAreMadeByALine() {
        Path out = folder.resolve("new.csv");
        assertThat(pixeron("new", "gradient rows=2 columns=3 maximum=10", "--out", out)).isZero();
        assertThat(out).hasContent("0,5,10\n0,5,10");
        assertBad("there is no kind of image \"gradent\"", "new", "gradent rows=2", "--out", out);
        assertBad("Netpbm stores whole levels only, but the value at row 1, column 1 is not whole", "new", "formula expression=\"300*i*j\"", "--out",
                folder.resolve("new.pgm"));
        assertThat(out).hasContent("0,5,10\n0,5,10");
    }

    @Test
    void stepsAndHelpAreListed() {
        assertThat(pixeron("steps")).isZero();
        assertThat(output).contains("threshold at=… [compare=above] [low=0] [high=M]").contains("parameters of all steps, unless listed otherwise")
                .contains("nearest, nearest-even, truncate, floor, ceiling, none");
        assertThat(pixeron("--help")).isZero();
        assertThat(output).contains("run", "facts", "explain", "check", "compare", "steps", "demo");
    }

    /** Only the command that is named is read; so each must be found alone as well as among all. */
    @Test
    void everyCommandIsListedAndExplainsItself() {
        assertThat(pixeron("--help")).isZero();
        List<String> listed = output.lines().dropWhile(line -> !line.equals("Commands:")).skip(1).filter(line -> line.matches("  [a-z].*")).map(line -> line.strip().split(" ")[0]).toList();
        assertThat(listed).containsExactly("run", "facts", "explain", "table", "check", "compare", "gray", "new", "steps", "program", "report", "worksheet", "mark", "demo");
        for (String command : listed) {
            assertThat(Pixeron.isCommand(command)).isTrue();
            assertThat(pixeron(command, "--help")).isZero();
            assertThat(output).startsWith("Usage: pixeron " + command);
        }
        assertThat(Pixeron.isCommand("proof.pgm")).isFalse();
        assertThat(Pixeron.isCommand()).isFalse();
    }

    /** Else a command would open the window where the program is started by its launcher. */
    @Test
    void theLaunchersKnowEveryCommand() throws IOException {
        assertThat(pixeron("--help")).isZero();
        String unix = Files.readString(Path.of("../pixeron")).lines().filter(line -> line.contains("window=no")).findFirst().orElseThrow();
        String windows = Files.readString(Path.of("../pixeron.cmd")).lines().filter(line -> line.contains("for %%c in")).findFirst().orElseThrow();
        output.lines().dropWhile(line -> !line.equals("Commands:")).skip(1).filter(line -> line.matches("  [a-z].*")).map(line -> line.strip().split(" ")[0]).forEach(command ->
                assertThat(List.of(unix, windows)).allMatch(line -> line.matches(".*[|( ]" + command + "[| )].*"), command));
    }

    @Test
    void noResultHasMorePixelsThanIsSaid() throws IOException {
        Path file = write("small.pgm", "P2 4 2 7  1 2 3 4  5 6 7 0");
        assertBad("pixeron: Step 1: The result would have 4 × 8 pixels. At most 31 are possible.\n", "run", file, "--step", "resize scale=2", "--most-pixels", "31", "--out",
                folder.resolve("large.csv"));
        assertThat(pixeron("run", file, "--step", "resize scale=2", "--most-pixels", "32", "--out", folder.resolve("large.csv"))).isZero();
    }

    @Test
    void demoWritesEverythingItSays() throws IOException {
        Path out = folder.resolve("new/demo");
        assertThat(pixeron("demo", "--out", out)).isZero();
        try (var files = Files.walk(out).filter(Files::isRegularFile)) {
            assertThat(output).contains("Wrote " + files.count() + " files");
        }
        assertThat(out.resolve("report.md")).content().contains("Rounded down", "Not clipped", "Wrapped around",
                "Not rounded");
        assertThat(out.resolve("faint-proof.pixeron.json")).exists();
        assertBad("Cannot create the folder", "demo", "--out", write("file", "x").resolve("below"));
    }

    /** A second Java with only the command line's classes: no window toolkit can be loaded, because none is there. */
    @Test
    void noWindowToolkitIsNeeded() throws Exception {
        List<String> classPath = java.util.Arrays.stream(System.getProperty("java.class.path")
                .split(java.io.File.pathSeparator))
                .filter(entry -> !entry.contains("javafx")).toList();
        assertThat(Pixeron.isCommand("facts")).isTrue();
        assertThat(Pixeron.isCommand("proof.pgm")).isFalse();
        Process process = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-verbose:class",
                "-Djava.awt.headless=true", "-cp", String.join(java.io.File.pathSeparator, classPath),
                        "pixeron.cli.CommandsTest")
                .redirectErrorStream(true).start();
        String loaded = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor()).isZero();
        assertThat(loaded).contains("amount").doesNotContain("javafx.").doesNotContain("java.awt.Toolkit");
    }

    /** For {@link #noWindowToolkitIsNeeded}: lists the steps. */
    public static void main(String... words) {
        PrintWriter out = new PrintWriter(System.out);
        System.exit(Pixeron.run(out, new PrintWriter(System.err), "steps"));
    }

    /** M is a number in {@code color green=M}, so no image may be called so; a place outside has no pixel before it. */
    @Test
    void namesAndPlacesThatMeanSomethingElse() throws IOException {
        assertBad("“M” is not a valid name for an image.", "run", image, "--step", "merge red=self green=M blue=0", "--image", "M=" + image, "--out", folder.resolve("o.png"));
        assertThat(pixeron("explain", image, "--step", "rotate degrees=45", "--at", "0,0", "--format", "json")).isZero();
        assertThat(json().get("before").isNull()).isTrue();
    }

    /** 137 97 96 / 164 98 101: six pixels, of a result twice as bright as well; of a color image each channel. */
    @Test
    void countsOfAnImageNeedNoStep() throws IOException {
        assertThat(pixeron("table", image, "--format", "json")).isZero();
        assertThat(json().get("histogram").get("columns").toString()).isEqualTo("[\"k\",\"n\",\"p\",\"running\"]");
        assertThat(json().get("histogram").get("rows").get(97).toString()).isEqualTo("[97,1,0.16666666666666666,2]");
        assertThat(pixeron("table", image, "--step", "add amount=3", "--table", "histogram", "--format", "csv")).isZero();
        assertThat(output.lines().toList().get(101)).isEqualTo("100,1,0.16666666666666666,2");
        Path color = write("color.ppm", "P3 2 1 3  1 2 3  1 0 3");
        assertThat(pixeron("table", color, "--format", "json")).isZero();
        assertThat(json().get("histogram-red").get("rows").get(1).toString()).isEqualTo("[1,2,1,2]");
        assertThat(json().get("histogram-green").get("rows").get(2).toString()).isEqualTo("[2,1,0.5,2]");
        assertBad("A histogram needs levels", "table", write("open.csv", "1.5,2\n"), "--open");
    }

    /** A single column, lines of level and count, and a single row are counts alike. */
    @Test
    void countsByHandAreWrittenInAnyWay() throws IOException {
        Path sort = write("sort.txt", "0 1 1 3\n2 1 3 3\n");
        for (String counts : new String[] {"1\n3\n1\n3\n", "0 1\n1 3\n2 1\n3 3\n", "1,3,1,3\n", "k,n\n0,1\n1,3\n2,1\n3,3\n", "3,3\n1,3\n"}) {
            Path hand = write("counts.csv", counts);
            assertThat(pixeron("check", sort, "--max", 3, "--step", "equalize", "--table", "histogram", "--by-hand", hand)).as(counts + error).isZero();
        }
        Path wrong = write("counts.csv", "1 3 2 3\n");
        assertThat(pixeron("check", sort, "--max", 3, "--step", "equalize", "--table", "histogram", "--by-hand", wrong)).isEqualTo(1);
        assertThat(output).contains("row 2, n: you wrote 2");
    }

    @Test
    void checkOfATableSaysWhatFollows() throws IOException {
        Path sort = write("sort.txt", "0 0 0 0 1 1 1 1\n2 2 3 3 3 3 3 3\n");
        Path hand = write("hand.csv", "k,running\n0,4\n1,9\n2,11\n3,16\n");
        assertThat(pixeron("check", sort, "--max", 3, "--step", "equalize", "--table", "levels", "--by-hand", hand))
                .isEqualTo(1);
        assertThat(output).contains("4 filled · 2 agree · 1 differ · 1 follow",
                "row 2, running: you wrote 11; the correct value is 10 (+1), correct given your earlier cells");
        pixeron("check", sort, "--max", 3, "--step", "equalize", "--table", "levels", "--by-hand", hand, "--format",
                "json");
        assertThat(json().get("first").get("row").intValue()).isEqualTo(1);
        assertThat(json().get("cells").get(2).get("state").textValue()).isEqualTo("follows");
        assertThat(json().get("differ").intValue()).isEqualTo(2);
        assertBad("pixeron: The last step has no table \"leveis\". It has histogram, levels, constants.\n", "check", sort, "--max", 3, "--step",
                "equalize", "--table", "leveis", "--by-hand", hand);
        // What the command "table" writes is a full answer by hand.
        pixeron("table", sort, "--max", 3, "--step", "equalize", "--table", "levels", "--format", "csv");
        assertThat(output).startsWith("k,n,p,running,exact,s");
        Path all = write("all.csv", output);
        assertThat(pixeron("check", sort, "--max", 3, "--step", "equalize", "--table", "levels", "--by-hand", all))
                .isZero();
    }

    @Test
    void aTargetOfMatchMayBeAnImage() throws IOException {
        Path sort = write("sort.txt", "0 0 1 1\n1 2 3 3\n");
        Path target = write("target.pgm", "P2 4 2 3  1 1 1 1  3 3 3 3");
        assertThat(pixeron("run", sort, "--max", 3, "--step", "match with=" + target, "--out",
                folder.resolve("a.csv"))).isZero();
        // counts 0 4 0 4: cumulative shares 0 1/2 1/2 1 for 1/4 5/8 3/4 1
        assertThat(Files.readString(folder.resolve("a.csv"))).isEqualTo("0,0,1,1\n1,1,3,3\n");
        assertBad("There is no file", "run", sort, "--max", 3, "--step", "match with=none.pgm", "--out",
                folder.resolve("b.csv"));
        assertThat(pixeron("run", sort, "--step", "match with=" + target, "--out", folder.resolve("a.csv"))).isZero();
        Path beyond = write("beyond.pgm", "P2 1 1 9 9");
        assertBad("pixeron: Step 1: The target of match needs levels, but the value at row 0, column 0 is 9, not a whole number from 0 to 3.\n", "run", sort, "--max", 3,
                "--step", "match with=" + beyond, "--out", folder.resolve("b.csv"));
        assertBad("Give only one of them", "run", sort, "--step", "match counts=\"1 1\" with=a.pgm", "--out",
                folder.resolve("b.csv"));
    }

    /** By a name, by a path, by the number of a step; each working and check knows it too. */
    @Test
    void anotherImageIsNamed() throws IOException {
        Path first = write("first.csv", "1,2\n3,4\n");
        Path second = write("second.csv", "4,2\n1,3\n");
        Path out = folder.resolve("out.csv");
        assertThat(pixeron("run", first, "--image", "pull-2=" + second, "--step", "combine with=pull-2 by=absolute-difference", "--out", out))
                .isZero();
        assertThat(Files.readString(out)).isEqualTo("3,0\n2,1\n");
        assertThat(pixeron("run", first, "--step", "add amount=10", "--step", "combine with=" + second + " by=sum", "--step",
                "join with=step:1 side=right", "--out", out)).isZero();
        assertThat(Files.readString(out)).isEqualTo("15,14,11,12\n14,17,13,14\n");
        assertThat(pixeron("explain", first, "--image", "p=" + second, "--step", "paste row=0 column=1 with=p", "--at", "1,1")).isZero();
        assertThat(output).contains("(1, 1 − 1) = (1, 0) of p", "s = t(1, 0) = 1");
        assertThat(pixeron("check", first, "--image", "p=" + second, "--step", "combine with=p by=difference overflow=keep", "--by-hand",
                write("swapped.csv", "3,0\n-2,-1\n"))).isEqualTo(1);
        assertThat(output).contains("Operands swapped:");
        assertBad("--image second.csv has no name. Use NAME=FILE", "run", first, "--image", "second.csv", "--out", out);
        assertBad("--image p= has no file", "run", first, "--image", "p=", "--out", out);
        assertBad("--image uses the name p twice", "run", first, "--image", "p=" + second, "--image", "p=" + first, "--out", out);
        assertBad("“self” is not a valid name for an image", "run", first, "--image", "self=" + second, "--out", out);
        assertBad("There is no image q. The images are: p", "run", first, "--image", "p=" + second, "--step", "combine with=q by=sum", "--out",
                out);
        assertBad("There is no file", "run", first, "--step", "combine with=none.pgm by=sum", "--out", out);
        assertBad("step:3 does not come before this step, which is step 1", "run", first, "--step", "combine with=step:3 by=sum", "--out", out);
    }
}
