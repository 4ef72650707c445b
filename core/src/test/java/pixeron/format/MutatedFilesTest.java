package pixeron.format;

import static org.assertj.core.api.Assertions.assertThat;

import com.github.miachm.sods.Sheet;
import com.github.miachm.sods.SpreadSheet;
import com.sun.management.ThreadMXBean;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.PixeronException;
import pixeron.byhand.answer.AnswerFile;
import pixeron.chain.Stage;
import pixeron.exercise.Variants;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.exercise.library.Topic;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;
import pixeron.project.demo.DemoCase;
import pixeron.project.demo.DemoCases;
import pixeron.step.Progress;

/** 22,000 files that were changed by chance: each is read, or refused in one line, and none takes much memory.
 *
 * <p>What is allocated while a file is read represents the work it makes: it is the same on a machine on which much else runs. A loop
 * that allocates nothing and never ends would show as a test that does not end.
 */
class MutatedFilesTest {

    private static final long MOST_BYTES = 1L << 28;

    private static final ThreadMXBean THREADS = (ThreadMXBean) ManagementFactory.getThreadMXBean();

    @TempDir
    private Path folder;

    /** What is in a message is one line that says something, and no name of a class. */
    private void tryAll(int count, int seed, String ending, List<byte[]> originals, Consumer<Path> reader) throws IOException {
        Random random = new Random(seed);
        Mutation mutation = new Mutation(random);
        tryAll(count, seed, ending, () -> mutation.of(originals.get(random.nextInt(originals.size()))), reader);
    }

    /** As many as {@code -Dpixeron.mutants} says, else some hundred. */
    private void tryStructures(int seed, String ending, List<byte[]> originals, Consumer<Path> reader) throws IOException {
        Random random = new Random(seed);
        StructuralMutation mutation = new StructuralMutation(random);
        tryAll(Integer.getInteger("pixeron.mutants", 300), seed, ending, () -> mutation.of(originals.get(random.nextInt(originals.size())),
                originals.get(random.nextInt(originals.size()))), reader);
    }

    /** Makes the bytes of a file. */
    private interface Mutant {
        byte[] next() throws IOException;
    }

    private void tryAll(int count, int seed, String ending, Mutant mutant, Consumer<Path> reader) throws IOException {
        Path file = folder.resolve("changed" + ending);
        int refused = 0;
        for (int n = 0; n < count; n++) {
            byte[] bytes = mutant.next();
            Files.write(file, bytes);
            long start = THREADS.getCurrentThreadAllocatedBytes();
            try {
                reader.accept(file);
            } catch (PixeronException refusal) {
                refused++;
                assertThat(refusal.getMessage()).as("case %d of %s", n, ending).isNotBlank().doesNotContain("\n", "Exception", "java.");
            } catch (RuntimeException | Error wrong) {
                throw new AssertionError("case " + n + " of seed " + seed + ", " + bytes.length + " bytes", wrong);
            }
            assertThat(THREADS.getCurrentThreadAllocatedBytes() - start).as("case %d of %s", n, ending).isLessThan(MOST_BYTES);
        }
        // Both happen: changes that nothing notices, and changes that are refused.
        assertThat(refused).isBetween(count / 20, count - 1);
    }

    private byte[] written(Result image, String ending) throws IOException {
        Path file = folder.resolve("original" + ending);
        ImageFiles.write(file, image, false);
        return Files.readAllBytes(file);
    }

    @Test
    void pictures() throws IOException {
        Image gray = Image.ofLevels(7, 9, 255, n -> n * 37 % 256);
        Image deep = Image.ofLevels(5, 6, 65535, n -> n * 7919 % 65536);
        ColorImage color = new ColorImage(gray, gray, Image.ofLevels(7, 9, 255, n -> n), java.util.Optional.of(gray));
        ColorImage opaque = new ColorImage(gray, gray, Image.ofLevels(7, 9, 255, n -> n), java.util.Optional.empty());
        List<byte[]> files = new ArrayList<>();
        for (String ending : List.of(".png", ".tif", ".pgm", ".pam")) {
            files.add(written(deep, ending));
            files.add(written(gray, ending));
        }
        for (String ending : List.of(".png", ".tif", ".pam")) {
            files.add(written(color, ending));
        }
        for (String ending : List.of(".bmp", ".gif", ".jpg", ".ppm")) {
            files.add(written(opaque, ending));
        }
        files.add(written(gray, ".bmp"));
        files.add(written(gray, ".gif"));
        files.addAll(OtherFlavorsTest.files());
        files.add("P2 # levels\n3 2 7\n0 1 2\n3 4 7\n".getBytes(StandardCharsets.US_ASCII));
        files.add("P1\n3 2\n0 1 1 1 0 0".getBytes(StandardCharsets.US_ASCII));
        tryAll(11_000, 1, "", files, file -> ImageFiles.read(file, ReadOptions.DEFAULT));
    }

    @Test
    void tablesOfNumbers() throws IOException {
        List<byte[]> files = List.of("12,200,3\n4,5,6\n".getBytes(StandardCharsets.UTF_8),
                "1,5;2\n3;4\n".getBytes(StandardCharsets.UTF_8), "7 1/3\n-2 9e2\n".getBytes(StandardCharsets.UTF_8),
                "\"1\"\t\"2\"\n3\t4\n".getBytes(StandardCharsets.UTF_8));
        tryAll(2_000, 2, ".csv", files, file -> ImageFiles.read(file, ReadOptions.DEFAULT.asOpen()));
    }

    /** @param hasWords whether there are cells that are no samples of an image */
    private static byte[] workbook(boolean hasWords) throws IOException {
        ByteArrayOutputStream xlsx = new ByteArrayOutputStream();
        try (Workbook book = new Workbook(xlsx, "Pixeron", "1.0")) {
            Worksheet sheet = book.newWorksheet("Sheet 1");
            for (int n = 0; n < 6; n++) {
                sheet.value(n / 3, n % 3, n * 11);
            }
            if (hasWords) {
                sheet.value(3, 0, "words");
                sheet.formula(3, 1, "1+1");
            }
        }
        return xlsx.toByteArray();
    }

    @Test
    void spreadsheets() throws IOException {
        Sheet cells = new Sheet("Sheet", 2, 3);
        cells.getDataRange().setValues(1.5, 2.0, 3.0, 4.0, "five", 6.0);
        SpreadSheet book = new SpreadSheet();
        book.appendSheet(cells);
        ByteArrayOutputStream ods = new ByteArrayOutputStream();
        book.save(ods);
        Frame grid = new Frame(2, 3, 255);
        List<byte[]> files = List.of(workbook(true), ods.toByteArray());
        tryAll(2_000, 3, ".xlsx", files, file -> AnswerFile.read(file, grid));
        tryAll(1_000, 5, ".xlsx", List.of(workbook(false), ods.toByteArray()), file -> ImageFiles.read(file, ReadOptions.DEFAULT.asOpen()));
    }

    private List<byte[]> exerciseFiles() throws IOException {
        List<byte[]> files = new ArrayList<>();
        for (Topic topic : Library.topics()) {
            Path file = folder.resolve("original" + ExerciseFile.ENDING);
            ExerciseFile.write(file, topic.exercise(Size.SMALL));
            files.add(Files.readAllBytes(file));
        }
        return files;
    }

    private List<byte[]> projectFiles() throws IOException {
        List<byte[]> files = new ArrayList<>();
        for (DemoCase demo : DemoCases.all()) {
            Path file = folder.resolve("demo" + ProjectFile.ENDING);
            ProjectFile.write(file, demo.saved());
            byte[] bytes = Files.readAllBytes(file);
            if (bytes.length < 40_000) {
                files.add(bytes);
            }
        }
        assertThat(files).hasSizeGreaterThan(5);
        return files;
    }

    private static void draw(Path file) {
        new Variants(ExerciseFile.read(file)).variant(1).parts();
    }

    /** Of a project that is read, every result is asked for: it may be refused too. */
    private static void work(Path file) {
        SavedProject saved = ProjectFile.read(file);
        for (Stage stage : saved.project().chain().stages()) {
            stage.after(Progress.NONE);
        }
    }

    @Test
    void exercises() throws IOException {
        tryAll(2_000, 5, ExerciseFile.ENDING, exerciseFiles(), MutatedFilesTest::draw);
        tryStructures(6, ExerciseFile.ENDING, exerciseFiles(), MutatedFilesTest::draw);
    }

    @Test
    void projects() throws IOException {
        tryAll(4_000, 4, ProjectFile.ENDING, projectFiles(), MutatedFilesTest::work);
        tryStructures(7, ProjectFile.ENDING, projectFiles(), MutatedFilesTest::work);
    }
}
