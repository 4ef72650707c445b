package pixeron.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.image.Image;
import pixeron.loop.LoopProgram;
import pixeron.step.Inputs;
import pixeron.step.catalog.StepLine;

/** A user's program in place of a table: real programs, compiled by the Java that runs these tests. */
class ProgramCommandsTest extends CommandTest {

    private static final String JAVA = Path.of(System.getProperty("java.home"), "bin", "java").toString();

    private static final int FIRST = 0;
    private static final int LAST = 5;

    @BeforeEach
    void writeNumbers() throws IOException {
        image = Files.writeString(folder.resolve("in put.csv"), "3,7,1\n0,2,5\n7,7,4\n");
    }

    /** A program that changes every level r of n rows and m columns, with i and j, and writes it. */
    private String program(String change) throws IOException {
        Path file = Files.writeString(folder.resolve("Mine" + Math.abs(change.hashCode()) + ".java"), """
                import java.nio.file.*; import java.util.*; import java.util.stream.*;
                class Mine { public static void main(String[] a) throws Exception {
                    int[][] in = Files.readAllLines(Path.of(a[0])).stream().map(l -> Stream.of(l.split(",")).mapToInt(Integer::parseInt).toArray()).toArray(int[][]::new);
                    int n = in.length, m = in[0].length; int[][] out = new int[n][m];
                    %s
                    Files.write(Path.of(a[1]), Stream.of(out).map(r -> IntStream.of(r).mapToObj(String::valueOf).collect(Collectors.joining(","))).toList());
                } }
                """.formatted(change));
        return "\"" + JAVA + "\" -XX:TieredStopAtLevel=1 \"" + file + "\" {in} {out}";
    }

    private int check(String command, String... more) {
        return pixeron(Stream.concat(Stream.of("check", image, "--max", "7", "--step", "subtract amount=2", "--by-program", command, "--format=json", "--seconds=600"), Stream.of(more)).toArray());
    }

    @Test
    void aRightProgramIsRightOnEveryImage() throws IOException {
        assertThat(check(program("for (int i = 0; i < n; i++) for (int j = 0; j < m; j++) out[i][j] = Math.max(0, in[i][j] - 2);"), "--cases=2", "--seed=9")).isZero();
        assertThat(json().get("agree").intValue()).isEqualTo(9);
        assertThat(json().get("cases")).hasSize(2).allMatch(one -> one.get("agree").intValue() == 9 && one.get("cells").get(0).get("state").textValue().equals("agrees"));
        assertThat(json().has("smallest")).isFalse();
        // ⌊u(0) · 8⌋ and ⌊u(8) · 8⌋ with seed 10, calculated apart from the program, less 2.
        assertThat(json().get("cases").get(0).get("cells").get(0).get("value").intValue()).isEqualTo(FIRST);
        assertThat(json().get("cases").get(0).get("cells").get(8).get("value").intValue()).isEqualTo(LAST);
    }

    /** What is written down as the loop of a step with two images is such a program: it reads both, and is right on every image. */
    @Test
    void theProgramOfTwoImagesReadsBoth() throws IOException {
        Path pull = Files.writeString(folder.resolve("pull.csv"), "1,2,3\n4,5,6\n7,0,7\n");
        Image before = Image.of(7, new int[][] {{3, 7, 1}, {0, 2, 5}, {7, 7, 4}});
        Image other = Image.of(7, new int[][] {{1, 2, 3}, {4, 5, 6}, {7, 0, 7}});
        LoopProgram told = StepLine.parse("combine with=pull by=product rounding=floor").bind(new Inputs(before, name -> other)).program().orElseThrow();
        Path file = Files.writeString(folder.resolve("Combine.java"), told.java());
        String[] step = {"check", image.toString(), "--max", "7", "--image", "pull=" + pull, "--format=json", "--cases=1", "--seconds=600", "--step"};
        String command = "\"" + JAVA + "\" -XX:TieredStopAtLevel=1 \"" + file + "\" {in} {with} {out}";
        assertThat(pixeron(Stream.concat(Stream.of(step), Stream.of("combine with=pull by=product rounding=floor", "--by-program", command)).toArray())).isZero();
        assertThat(json().get("agree").intValue()).isEqualTo(9);
        // A product is no sum.
        assertThat(pixeron(Stream.concat(Stream.of(step), Stream.of("combine with=pull by=sum", "--by-program", command)).toArray())).isEqualTo(1);
    }

    /** The program that Pixeron writes for all steps reads packed pixels and is right on every image in color; one that forgets a channel is not. */
    @Test
    void aProgramInColorReadsPackedPixels() throws IOException {
        image = Files.writeString(folder.resolve("ink.ppm"), "P3 2 2 255 10 20 250 11 21 31 12 22 32 13 23 33");
        Path whole = folder.resolve("Tone.java");
        String[] steps = {"--step", "add amount=\"40 0 9\"", "--step", "invert channels=green"};
        assertThat(pixeron(Stream.concat(Stream.of("program", image.toString(), "--out", whole.toString()), Stream.of(steps)).toArray())).isZero();
        String[] check = Stream.concat(Stream.of("check", image.toString(), "--format=json", "--cases=1", "--seconds=600"), Stream.of(steps)).toArray(String[]::new);
        String java = "\"" + JAVA + "\" -XX:TieredStopAtLevel=1 ";
        assertThat(pixeron(Stream.concat(Stream.of(check), Stream.of("--by-program", java + "\"" + whole + "\" {in} {out}")).toArray())).as(output).isZero();
        assertThat(json().get("agree").intValue()).isEqualTo(12);
        assertThat(pixeron("program", image, "--out", whole, "--step", "add amount=\"40 0 9\"", "--step", "invert channels=green", "--up-to=1")).isZero();
        assertThat(pixeron(Stream.concat(Stream.of(check), Stream.of("--by-program", java + "\"" + whole + "\" {in} {out}")).toArray())).isEqualTo(1);
        // Only green differs, in all four pixels; of 20 and 235 each wants a look of its own.
        assertThat(json().get("differ").intValue()).isEqualTo(4);
        assertThat(json().get("smallest").get("image").get("red")).isNotNull();
    }

    /** Pictures in place of tables, in and out. */
    /** Two megabytes for nine values: refused before any of it is read. */
    @Test
    void aProgramThatWritesFarTooMuchIsToldSo() throws IOException {
        Path file = Files.writeString(folder.resolve("Much.java"), """
                class Much { public static void main(String[] a) throws Exception {
                    java.nio.file.Files.writeString(java.nio.file.Path.of(a[1]), "1,".repeat(1 << 20));
                } }
                """);
        String command = "\"" + JAVA + "\" -XX:TieredStopAtLevel=1 \"" + file + "\" {in} {out}";
        assertThat(pixeron("check", image, "--max", "7", "--step", "invert", "--by-program", command, "--format=json", "--seconds=600")).isEqualTo(1);
        assertThat(output).contains("The program wrote 2048 KiB, too much for a result of 3 × 3.");
    }

    @Test
    void aProgramReadsAndWritesPictures() throws IOException {
        image = Files.writeString(folder.resolve("ink.ppm"), "P3 2 1 255 10 20 250 11 21 31");
        Path file = Files.writeString(folder.resolve("Flip.java"), """
                class Flip { public static void main(String[] a) throws Exception {
                    java.awt.image.BufferedImage in = javax.imageio.ImageIO.read(new java.io.File(a[0]));
                    for (int i = 0; i < in.getHeight(); i++) for (int j = 0; j < in.getWidth(); j++) in.setRGB(j, i, ~in.getRGB(j, i) | 0xFF000000);
                    javax.imageio.ImageIO.write(in, "png", new java.io.File(a[1]));
                } }
                """);
        String command = "\"" + JAVA + "\" -XX:TieredStopAtLevel=1 -Djava.awt.headless=true \"" + file + "\" {in.png} {out.png}";
        assertThat(pixeron("check", image, "--step", "invert", "--by-program", command, "--format=json", "--seconds=600")).as(error).isZero();
        assertThat(json().get("agree").intValue()).isEqualTo(6);
    }

    /** Not clipped at 0: nothing shows on an image without dark levels, so random images are needed, and the smallest has a dark one. */
    @Test
    void aWrongProgramIsWrongByASlip() throws IOException {
        Files.writeString(image, "3,7,2\n3,2,5\n7,7,4\n");
        assertThat(check(program("for (int i = 0; i < n; i++) for (int j = 0; j < m; j++) out[i][j] = in[i][j] - 2;"), "--cases=3", "--seed=3")).isEqualTo(1);
        assertThat(json().get("differ").intValue()).isZero();
        assertThat(json().get("cases")).anyMatch(one -> one.get("slips").size() > 0 && one.get("slips").get(0).get("id").textValue().equals("not-clipped"));
        JsonNode smallest = json().get("smallest");
        // Somewhere in it is a level of 0 or 1, which becomes negative.
        assertThat(smallest.get("image").toString()).matches(".*[01].*");
        assertThat(smallest.get("differ").intValue()).isEqualTo(1);
    }

    @Test
    void aLoopThatStartsAtOneIsNamed() throws IOException {
        assertThat(check(program("for (int i = 1; i < n; i++) for (int j = 0; j < m; j++) out[i][j] = Math.max(0, in[i][j] - 2);"))).isEqualTo(1);
        assertThat(json().get("slips").get(0).get("id").textValue()).isEqualTo("started-at-one");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {
        "throw new IllegalStateException(\"out of ink\"); | The program failed with exit code 1",
        "System.exit(0); | The program wrote no file {out}",
        "out = new int[2][3]; | The program wrote 2 × 3 values, but the result has 3 × 3.",
        "Files.delete(Path.of(a[0])); System.exit(3); | exit code 3"})
    void whatGoesWrongIsSaidInOneLine(String change, String message) throws IOException {
        assertThat(check(program("if (n > 0) { " + change + " }"))).isEqualTo(1);
        assertThat(json().get("problem").textValue()).contains(message).doesNotContain("\n");
        assertThat(Files.readString(image)).hasLineCount(3);
    }

    /** Arrays are printed among other lines, as programs print them. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', value = {
        "`System.out.println(java.util.Arrays.deepToString(out));` | true",
        "`System.out.println(\"rows done\"); for (int[] row : out) System.out.println(java.util.Arrays.toString(row));` | true",
        "`for (int[] row : out) { for (int v : row) System.out.printf(\"%4d\", v); System.out.println(); }` | true",
        "`System.err.println(\"only an error\");` | false"})
    void whatAProgramPrintsIsItsResult(String print, boolean isRead) throws IOException {
        Path file = Files.writeString(folder.resolve("Mine.java"), """
                import java.nio.file.*;
                class Mine { public static void main(String[] a) throws Exception {
                    int[][] in = Files.readAllLines(Path.of(a[0])).stream().map(line -> java.util.stream.Stream.of(line.split(",")).mapToInt(Integer::parseInt).toArray()).toArray(int[][]::new);
                    int[][] out = new int[in.length][in[0].length];
                    for (int i = 0; i < in.length; i++) for (int j = 0; j < in[0].length; j++) out[i][j] = Math.max(0, in[i][j] - 2);
                    %s
                } }
                """.formatted(print));
        assertThat(check("\"" + JAVA + "\" -XX:TieredStopAtLevel=1 \"" + file + "\" {in}")).isEqualTo(isRead ? 0 : 1);
        assertThat(json().get("agree").intValue()).isEqualTo(isRead ? 9 : 0);
        assertThat(output.contains("The program printed nothing")).isEqualTo(!isRead);
    }

    /** However fast the machine is, a program that does not end is stopped. */
    @Test
    void aProgramWithoutEndIsStopped() throws IOException {
        Object[] words = {"check", image, "--max", "7", "--step", "subtract amount=2", "--by-program", program("while (n > 0) { Thread.onSpinWait(); }"), "--seconds=1"};
        assertThat(pixeron(words)).isEqualTo(1);
        assertThat(output).contains("did not end within 1 second and was stopped");
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', quoteCharacter = '`', value = {"mine {out}; {in} for the input file", "mine {in.tif} {out}; {in.tif} is unknown", "'mine {in} {out}; the closing quote is missing",
        "no-such-program {in} {out}; Cannot start \"no-such-program\"", "mine {with} {in} {out}; The command reads {with}, but no step uses another image"})
    void badCommandsAreRefused(String command, String message) {
        assertThat(check(command)).isEqualTo(2);
        assertThat(error).contains(message).hasLineCount(1);
        assertThat(check("mine {in} {out}", "--cases=-1")).isEqualTo(2);
        assertThat(check("mine {in} {out}", "--by-hand=" + image)).isEqualTo(2);
        assertThat(error).contains("--by-program cannot be combined with --by-hand, --table, --out or --tolerance");
    }
}
