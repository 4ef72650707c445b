package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.HashMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import pixeron.byhand.table.HandTable;
import pixeron.exercise.answer.AnswerTable;
import pixeron.exercise.answer.Received;
import pixeron.exercise.answer.Simulated;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.Marker;
import pixeron.exercise.practice.Trial;
import pixeron.exercise.print.Worksheet;
import pixeron.exercise.quiz.QuizFormat;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.project.Project;
import pixeron.report.pdf.Paper;
import pixeron.step.Progress;

/** Exercises whose results have several faces: channels of color, parts of a spectrum. */
class FacesTest {

    private static final Image RED = Image.of(255, new int[][] {{10, 240}, {200, 250}});
    private static final Image GREEN = Image.of(255, new int[][] {{1, 2}, {3, 4}});
    private static final Image BLUE = Image.of(255, new int[][] {{5, 6}, {7, 8}});

    @TempDir
    private Path folder;

    private static Asked asked(int step, String face, Asked.What what, long points) {
        return new Asked(step, face, what, Rational.of(points));
    }

    private static Exercise color() {
        return new Exercise("Two inks", "", new GivenImage.Samples(new ColorImage(RED, GREEN, BLUE, Optional.empty())), List.of("add amount=30 channels=red"), List.of(),
                List.of(asked(1, "red", new Asked.All(), 4), asked(1, "green", new Asked.Some(List.of(new Pixel(1, 0))), 1)), Wish.NONE, 1);
    }

    private static Exercise spectrum() {
        return new Exercise("Waves", "", new GivenImage.Samples(Image.of(7, new int[][] {{1, 3}, {5, 7}})), List.of("fourier"), List.of(),
                List.of(asked(1, "real", new Asked.All(), 4), asked(1, "magnitude", new Asked.Some(List.of(new Pixel(0, 0))), 2)), Wish.NONE, 1);
    }

    private static Marked mark(Variants variants, Project work) {
        Variant variant = variants.variant(1);
        return new Marker(variants).mark(new Received("test", "", List.of(variant.code()), of -> AnswerTableTrip.read(AnswerTable.filled(variant, work, ""), of)));
    }

    /** Red 10, 240, 200, 250 and 30 more: 40, 255, 230, 255; green stays. */
    @Test
    void aChannelIsAsked() {
        Variants variants = new Variants(color());
        Variant variant = variants.variant(1);
        Part.OfCells red = (Part.OfCells) variant.parts().get(0);
        assertThat(red.pixels().stream().map(red.operation()::value).map(Object::toString)).containsExactly("40", "255", "230", "255");
        assertThat(red.title()).isEqualTo("Result of step 1 (add, red)");
        assertThat(((Part.OfCells) variant.parts().get(1)).operation().value(new Pixel(1, 0))).isEqualTo(Rational.of(3));
        Marked marked = mark(variants, Simulated.right(variant));
        assertThat(List.of(marked.agree(), marked.cells())).containsExactly(5, 5);
        assertThat(marked.points(true)).isEqualTo(Rational.of(5));
    }

    /** A user who does not clip writes 270 and 280. */
    @Test
    void aSlipInAChannelIsNamed() {
        Variants variants = new Variants(color());
        Project work = Simulated.right(variants.variant(1)).withByHand(0, "red", written -> written.withSheet(sheet -> sheet.with(Map.of(new Pixel(0, 1), "270",
                new Pixel(1, 1), "280"))));
        Marked marked = mark(variants, work);
        assertThat(marked.firstSlip()).contains("not-clipped");
        assertThat(marked.points(true)).isEqualTo(Rational.of(3));
        assertThat(marked.starts().orElseThrow()).contains("step 1, red, row 0, column 1. You wrote 270; the correct value is 255");
    }

    /** Added up, the real parts are H · W times the first pixel: 4 · 1. */
    @Test
    void aFaceOfASpectrumIsAsked() {
        Variants variants = new Variants(spectrum());
        Part.OfCells real = (Part.OfCells) variants.variant(1).parts().get(0);
        assertThat(real.pixels().stream().mapToDouble(pixel -> real.operation().value(pixel).asDouble()).sum()).isEqualTo(4);
        Marked marked = mark(variants, Simulated.right(variants.variant(1)));
        assertThat(List.of(marked.agree(), marked.cells())).containsExactly(5, 5);
        assertThatThrownBy(() -> new Variants(new Exercise("Waves", "", spectrum().image(), List.of("fourier"), List.of(), List.of(asked(1, Image.VALUE, new Asked.All(), 1)),
                Wish.NONE, 1)).variant(1).parts()).hasMessageContaining("has the components real, imaginary, magnitude, phase, log");
    }

    /** Everything that is given out is there for both, and comes back from its file. */
    @Test
    void theyAreGivenOutAndKept() throws Exception {
        for (Exercise exercise : List.of(color(), spectrum())) {
            Path file = folder.resolve("e" + ExerciseFile.ENDING);
            ExerciseFile.write(file, exercise);
            assertThat(ExerciseFile.read(file)).isEqualTo(exercise);
            List<Path> files = Worksheet.write(folder.resolve(exercise.title()), new Variants(exercise).first(1), EnumSet.of(QuizFormat.QTI_3_0), Paper.A4, Progress.NONE);
            assertThat(files).hasSize(7);
            try (PDDocument page = Loader.loadPDF(files.stream().filter(one -> one.toString().endsWith("sheets.pdf")).findFirst().orElseThrow().toFile())) {
                String text = new PDFTextStripper().getText(page);
                assertThat(text).contains(exercise.title()).contains(exercise == spectrum() ? "magnitude" : "step 1");
                if (exercise.title().equals("Two inks")) {
                    assertThat(text).contains("Image, red", "Image, green", "Image, blue");
                }
            }
        }
    }

    @Test
    void theyArePractised() {
        Variant variant = new Variants(color()).variant(1);
        Trial trial = Trial.of(variant).with(new Trial.Blank(0, 0, 0), "40").with(new Trial.Blank(0, 0, 1), "255").with(new Trial.Blank(0, 1, 0), "230")
                .with(new Trial.Blank(0, 1, 1), "255").with(new Trial.Blank(1, 1, 0), "3");
        assertThat(trial.check(Progress.NONE).isDone()).isTrue();
        assertThat(trial.with(new Trial.Blank(1, 1, 0), "33").check(Progress.NONE).differing()).isEqualTo(1);
    }

    /** What known slips would give at 240, of which 255 is right: 270 without clipping, 14 = 270 − 256 gone round, 210 subtracted. */
    @Test
    void typicalSlipsAreWorkedOut() {
        Part.OfCells red = (Part.OfCells) new Variants(color()).variant(1).parts().get(0);
        Map<String, String> values = new HashMap<>();
        new SlipValues(red.operation()).at(new Pixel(0, 1), 20).forEach(slip -> values.putIfAbsent(slip.id(), slip.value().toString()));
        assertThat(values).containsEntry("not-clipped", "270").containsEntry("wrapped", "14").containsEntry("wrong-operation", "210");
        assertThat(new SlipValues(red.operation()).at(new Pixel(0, 1), 2)).hasSize(2);
        assertThat(values.values()).doesNotContain("255").doesNotHaveDuplicates();
    }

    /** A table that was written for one step is no answer in the place of another. */
    @Test
    void columnsThatAreGoneAreMissed() {
        Exercise exercise = Exercises.threeParts(1);
        Variants variants = new Variants(exercise);
        Variant variant = variants.variant(1);
        List<List<String>> rows = AnswerTable.filled(variant, Simulated.right(variant), "Kim").stream().map(row -> row.equals(List.of("k", "s")) ? List.of("k", "n") : row).toList();
        Marked marked = new Marker(variants).mark(new Received("test", "", List.of(variant.code()), of -> AnswerTableTrip.read(rows, of)));
        assertThat(marked.problem()).contains("The column \"s\" of \"Levels table of step 1 (histogram equalization), column level s\" is missing.");
        Project other = variant.project().withTable(0, "levels", hand -> hand.with(Map.of(new HandTable.Place("0", "n"), "3")));
        assertThat(mark(variants, other).filled()).isZero();
    }
}
