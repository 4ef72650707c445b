package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.PixeronException;
import pixeron.exercise.answer.AnswerBook;
import pixeron.exercise.answer.AnswerFolder;
import pixeron.exercise.answer.AnswerTable;
import pixeron.exercise.answer.Handed;
import pixeron.exercise.answer.Received;
import pixeron.exercise.answer.Simulated;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.Marker;
import pixeron.exercise.mark.ReportNames;
import pixeron.format.ResultTable;

/** A class's folder in which some files are broken, enormous or meant to do harm: the others get their marks, and each of those is a row. */
class HostileClassTest {

    private static final int GOOD = 12;

    @TempDir
    private Path folder;
    private Variants variants;
    private Marker marker;

    @BeforeEach
    void makeExercise() {
        variants = new Variants(Exercises.threeParts(1));
        marker = new Marker(variants);
    }

    private void good(String name, int number) throws IOException {
        Path file = folder.resolve(name);
        Files.createDirectories(file.getParent());
        AnswerBook.writeText(file, AnswerTable.filled(variants.variant(number), Simulated.right(variants.variant(number)), ""));
    }

    private void hostile(String name, byte... bytes) throws IOException {
        Files.write(folder.resolve(name), bytes);
    }

    private void hostile(String name, String text) throws IOException {
        hostile(name, text.getBytes(StandardCharsets.UTF_8));
    }

    private void bomb(String name) throws IOException {
        try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(folder.resolve(name)))) {
            zip.putNextEntry(new ZipEntry("[Content_Types].xml"));
            zip.putNextEntry(new ZipEntry("xl/worksheets/sheet1.xml"));
            zip.write("<worksheet><sheetData><row><c><v>".getBytes(StandardCharsets.UTF_8));
            byte[] zeros = "0".repeat(1 << 20).getBytes(StandardCharsets.UTF_8);
            for (int n = 0; n < 256; n++) {
                zip.write(zeros);
            }
        }
    }

    /** Returns whether the system has pipes that lie in folders; whoever opens one waits for a user who writes. */
    private boolean pipe(String name) throws IOException {
        try {
            return new ProcessBuilder("mkfifo", folder.resolve(name).toString()).start().waitFor() == 0;
        } catch (IOException without) {
            return false;
        } catch (InterruptedException stopped) {
            throw new IllegalStateException(stopped);
        }
    }

    /** Numbers whose digits would fill the memory, in cells of an answer that is good otherwise: they are not understood, and everything else has its points. */
    @Test
    void enormousNumbersAreOnlyThatCell() throws IOException {
        good("Kim.csv", 1);
        Path file = folder.resolve("Kim.csv");
        int last = 0;
        for (String number : List.of("1e999999999", "1e20000000", "9".repeat(401), "1/1e999999")) {
            Files.writeString(folder.resolve("Lee " + last++ + ".csv"), Files.readString(file).replaceFirst("\n0,[0-9]+", "\n0," + number));
        }
        List<Marked> marks = AnswerFolder.of(List.of(folder)).handed().stream().flatMap(handed -> marker.marks(handed).stream()).toList();
        assertThat(marks).hasSize(5).allMatch(Marked::isMarked);
        assertThat(marks.get(0).points(true)).isEqualTo(pixeron.number.Rational.of(22));
        assertThat(marks.stream().skip(1)).allMatch(marked -> marked.points(true).compareTo(pixeron.number.Rational.of(22)) < 0 && marked.points(true).compareTo(pixeron.number.Rational.of(19)) > 0);
    }

    @Test
    void theOthersGetTheirMarks() throws IOException {
        String signs = variants.variant(1).code().exercise();
        for (int n = 1; n <= GOOD - 3; n++) {
            good("Person " + n + ".csv", n);
        }
        good("Wei\u00DF " + signs + "-010.csv", 10);
        good("ada/answer.csv", 11);
        good("ben/answer.csv", 12);
        bomb("bomb.xlsx");
        hostile("deep.pixeron.json", "[".repeat(100_000));
        hostile("nothing.csv");
        hostile("ends.csv", "\n".repeat(3 << 20));
        byte[] large = new byte[5 << 20];
        Arrays.fill(large, (byte) '7');
        hostile("large.csv", large);
        hostile("<script>alert(1)<script>.csv", "1,2\n");
        hostile("number.csv", "1e999999999,".repeat(26) + "\n");
        hostile("26 numbers.csv", "1e20000000,".repeat(26) + "\n");
        boolean hasPipe = pipe("pipe.csv");
        hostile("noise.png", new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0});
        hostile("wall.pgm", "P5\n4000 4000\n255\n");
        hostile("zip.xlsx", "PK\u0003\u0004 and then nothing");
        hostile("variant 0 " + signs + "-000.csv", "part 1\n");
        hostile("=HYPERLINK(1).csv", "1,2\n");
        hostile("..csv", "1,2\n");
        hostile("two\nlines.csv", "1,2\n");
        hostile("n".repeat(251) + ".csv", "1,2\n");
        hostile(".hidden.csv", "1,2\n");
        hostile("notes.docx", "none");

        AnswerFolder found = AnswerFolder.of(List.of(folder));
        assertThat(found.leftOut()).containsExactlyInAnyOrder(".hidden.csv", "notes.docx");
        List<Marked> marks = found.handed().stream().flatMap(handed -> marker.marks(handed).stream()).toList();
        assertThat(marks).hasSize(GOOD + (hasPipe ? 17 : 16));
        List<Marked> marked = marks.stream().filter(Marked::isMarked).toList();
        assertThat(marked).hasSize(GOOD).allSatisfy(one -> assertThat(one.points(true)).isEqualTo(pixeron.number.Rational.of(22)));
        assertThat(marked.stream().map(Marked::name)).contains("ada", "ben", "Wei\u00DF", "Person 1");
        assertThat(marks.stream().map(Marked::source)).doesNotHaveDuplicates().contains("ada/answer.csv", "ben/answer.csv");
        assertThat(marks.stream().filter(one -> !one.isMarked())).allSatisfy(one -> {
            assertThat(one.problem()).isNotBlank().doesNotContain("Internal error").hasSizeLessThanOrEqualTo(300);
            assertThat(one.problem().chars().filter(Character::isISOControl)).isEmpty();
        });
        // As text with commas: one line for each, and none of it is calculated.
        String rows = ResultTable.text(marks.stream().map(one -> List.of(one.source(), one.problem())).toList());
        assertThat(rows.lines()).hasSize(marks.size()).noneMatch(line -> line.startsWith("=") || line.startsWith("\"="));
    }

    /** What Pixeron itself does wrong is a row too, also an error from which a program does not recover by itself. */
    @Test
    void whateverIsThrownIsThatRow() {
        Code code = variants.variant(1).code();
        for (Throwable thrown : List.of(new IllegalStateException("oh"), new StackOverflowError(), new OutOfMemoryError("heap"), PixeronException.of("said"))) {
            Marked marked = marker.mark(new Received("a.csv", "Kim", List.of(code), variant -> {
                throw thrown instanceof Error error ? sneaky(error) : (RuntimeException) thrown;
            }));
            assertThat(marked.isMarked()).isFalse();
            assertThat(marked.code()).contains(code);
            assertThat(marked.problem()).containsAnyOf("(java.lang.IllegalStateException: oh)", "nested too deeply", "not enough memory", "said");
        }
    }

    private static RuntimeException sneaky(Error error) {
        throw error;
    }

    @Test
    void foldersThatMayNotBeLookedIntoAreRows() throws IOException {
        good("ada/answer.csv", 1);
        Path closed = Files.createDirectories(folder.resolve("closed"));
        good("closed/answer.csv", 2);
        boolean isClosed = closed.toFile().setReadable(false) && !Files.isReadable(closed);
        List<Handed> handed = AnswerFolder.of(List.of(folder)).handed();
        closed.toFile().setReadable(true);
        assertThat(handed).hasSize(2);
        if (isClosed) {
            assertThat(handed.get(1).problem()).contains("Check its permissions");
        }
    }

    @Test
    void filesThatAreCalledAlikeAreToldApart() throws IOException {
        good("first/ada/answer.csv", 1);
        good("second/ada/answer.csv", 2);
        List<Handed> handed = AnswerFolder.of(List.of(folder.resolve("first"), folder.resolve("second"))).handed();
        assertThat(handed.stream().map(Handed::source)).doesNotHaveDuplicates().allMatch(source -> source.endsWith("ada/answer.csv"));
        // A code that only the folder says.
        String code = variants.variant(3).code().toString();
        Files.createDirectories(folder.resolve("third/" + code));
        List<List<String>> rows = new ArrayList<>(AnswerTable.filled(variants.variant(3), Simulated.right(variants.variant(3)), "Kim"));
        rows.remove(0);
        AnswerBook.writeText(folder.resolve("third/" + code + "/answer.csv"), rows);
        Handed third = AnswerFolder.of(List.of(folder.resolve("third"))).handed().get(0);
        assertThat(marker.marks(third).get(0).code().map(Code::toString)).contains(code);
    }

    @Test
    void reportsHaveNamesThatNoTwoShare() {
        List<String> names = ReportNames.of(List.of("ada/answer.csv", "ben/answer.csv", "ada_answer.csv", "ADA_ANSWER.csv", "n".repeat(300) + ".csv", "..", "a\nb.xlsx, sheet 2"), ".pdf");
        assertThat(names.stream().map(String::toLowerCase).collect(Collectors.toSet())).hasSameSizeAs(names);
        assertThat(names).startsWith("ada_answer.pdf", "ben_answer.pdf", "ada_answer 2.pdf").allMatch(name -> name.length() <= 70 && !name.startsWith(".") && !name.contains("\n"));
    }
}
