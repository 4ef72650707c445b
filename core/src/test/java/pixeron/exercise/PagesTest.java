package pixeron.exercise;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringWriter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import pixeron.exercise.print.SheetPages;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.report.pdf.Paper;
import pixeron.step.Progress;

/** How blanks are laid out on paper. */
class PagesTest {

    /** Points: a centimeter, into which a number of three digits is written by hand. */
    private static final float CENTIMETRE = 72 / 2.54f;

    private record Word(int page, String text, float x, float y) {
    }

    private static Variant variant(Image image, Asked asked) {
        return new Variants(new Exercise("Blanks", "", new GivenImage.Samples(image), List.of("equalize"), List.of(), List.of(asked), Wish.NONE, 1)).variant(1);
    }

    /** Returns what is printed and where, from above, in points. */
    private static List<Word> words(Variant variant) throws IOException {
        List<Word> words = new ArrayList<>();
        try (PDDocument document = Loader.loadPDF(SheetPages.bytes(List.of(variant), Paper.A4, Progress.NONE))) {
            PDFTextStripper stripper = new PDFTextStripper() {
                @Override
                protected void writeString(String text, List<TextPosition> positions) {
                    words.add(new Word(getCurrentPageNo(), text.strip(), positions.get(0).getXDirAdj(), positions.get(0).getYDirAdj()));
                }
            };
            stripper.writeText(document, new StringWriter());
        }
        return words;
    }

    /** The numbers of the columns above a grid of blanks are as far apart as its cells. */
    @Test
    void blanksAreLargeEnoughToWriteIn() throws IOException {
        Variant variant = variant(Image.ofLevels(5, 5, 7, n -> n % 7), Exercises.all(1, 1));
        List<Word> words = words(variant);
        Word title = words.stream().filter(word -> word.text().startsWith("1. Result of step 1")).findFirst().orElseThrow();
        List<Word> numbers = words.stream().filter(word -> word.y() > title.y() && word.x() >= title.x() && word.text().matches("[0-4]")).toList();
        Word corner = numbers.stream().min(Comparator.comparing(Word::y)).orElseThrow();
        // Those of the columns are in a line, those of the rows below each other.
        List<Float> across = numbers.stream().filter(word -> Math.abs(word.y() - corner.y()) < 1).map(Word::x).sorted().toList();
        List<Float> down = numbers.stream().filter(word -> word.y() > corner.y() + 1).map(Word::y).sorted().toList();
        for (List<Float> places : List.of(across, down)) {
            assertThat(places).hasSize(5);
            for (int n = 1; n < places.size(); n++) {
                assertThat(places.get(n) - places.get(n - 1)).isCloseTo(CENTIMETRE, Offset.offset(0.5f));
            }
        }
    }

    /** A table of 256 levels goes on from column to column and page to page: no level is omitted, none is there twice. */
    @Test
    void aLongTableGoesOn() throws IOException {
        Variant variant = variant(Image.ofLevels(10, 20, 255, n -> n + 40), Exercises.column(1, "levels", "s", 1));
        List<Word> words = words(variant);
        Word title = words.stream().filter(word -> word.text().startsWith("1. Levels table of step 1")).findFirst().orElseThrow();
        List<Integer> levels = words.stream().filter(word -> word.page() > title.page() || word.page() == title.page() && word.y() > title.y())
                .filter(word -> word.text().matches("\\d{2,3}")).map(word -> Integer.valueOf(word.text())).toList();
        assertThat(levels).containsExactlyInAnyOrderElementsOf(IntStream.range(10, 256).boxed().toList());
        assertThat(words.get(words.size() - 1).page()).isGreaterThan(1);
    }

    /** Every page of it can be told from those of other people. */
    @Test
    void theCodeIsOnEachPage() throws IOException {
        Variant variant = variant(Image.ofLevels(10, 20, 255, n -> n + 40), Exercises.column(1, "levels", "s", 1));
        List<Word> words = words(variant);
        long pages = words.stream().mapToInt(Word::page).max().orElseThrow();
        assertThat(words.stream().filter(word -> word.text().contains(variant.code().toString())).map(Word::page).distinct()).hasSize((int) pages);
    }

    @Test
    void lettersOfAnyScriptInATaskDoNotStopThePrinting() throws IOException {
        Frame frame = new Frame(2, 2, 7);
        Exercise exercise = new Exercise("Tür und Öl", "Größe ≤ 3 · naïve ½ — Ω \uD83D\uDD8B", new GivenImage.Samples(Image.flat(frame, Rational.ONE)),
                List.of("invert"), List.of(), List.of(Exercises.all(1, 1)), Wish.NONE, 1);
        try (PDDocument document = Loader.loadPDF(SheetPages.bytes(List.of(new Variants(exercise).variant(1)), Paper.LETTER, Progress.NONE))) {
            assertThat(new PDFTextStripper().getText(document)).contains("Tür und Öl", "Größe ≤ 3 · naïve ½ —");
        }
    }
}
