package pixeron.help.figure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Verdict;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.Pixel;

class PageFiguresTest {

    private static final Path PAGES = Path.of("../docs/definitions");

    private static List<Path> pages() throws IOException {
        try (Stream<Path> files = Files.list(PAGES)) {
            return files.filter(file -> file.toString().endsWith(".md")).toList();
        }
    }

    private static <T extends Part> T part(String figure, int number, Class<T> kind) {
        return kind.cast(Figures.find(figure).orElseThrow().parts().get(number));
    }

    /** The words are what people have who do not see it, so they are at least a sentence. */
    @Test
    void everyPageHasAFigureWithWordsAndFilesForLightAndDark() throws IOException {
        for (Path page : pages()) {
            FigureMark mark = FigureMark.find(Files.readString(page)).orElseThrow(() -> new AssertionError(page + " has no figure"));
            assertThat(Figures.find(mark.name())).as(page.toString()).isPresent();
            assertThat(mark.words()).as(page.toString()).hasSizeBetween(40, 300).endsWith(".");
            assertThat(PAGES.resolve("figures/" + mark.name() + ".png")).exists();
            assertThat(PAGES.resolve("figures/" + mark.name() + "-dark.png")).exists();
            assertThat(Files.readString(page)).contains("srcset=\"figures/" + mark.name() + "-dark.png\"");
        }
    }

    @Test
    void noFigureIsWithoutAPage() throws IOException {
        TreeSet<String> names = new TreeSet<>();
        pages().forEach(page -> names.add(page.getFileName().toString().replace(".md", "")));
        assertThat(Figures.names()).containsExactlyInAnyOrderElementsOf(names);
        assertThat(Figures.find("no-such-page")).isEmpty();
    }

    /** 96 and 164 are the ends of the faint proof: 3.75 × 96 − 360 = 0 and 3.75 × 164 − 360 = 255. */
    @Test
    void stretchingTheFaintProofUsesAllLevels() {
        Histogram before = part("point-steps", 2, Part.Curve.class).before();
        Histogram after = part("point-steps", 2, Part.Curve.class).after();
        assertThat(new int[] {before.count(96), before.count(164)}).doesNotContain(0);
        assertThat(after.count(0)).isEqualTo(before.count(96));
        assertThat(after.count(255)).isEqualTo(before.count(164));
    }

    @Test
    void inPracticeTwoValuesAgreeAndOneDiffers() {
        assertThat(part("practice", 1, Part.ByHand.class).check().cells()).extracting(CellCheck::state)
                .containsExactly(Verdict.AGREES, Verdict.AGREES, Verdict.DIFFERS);
    }

    @Test
    void theWalkShowsTheWindowOfThePixelThatItHasReached() {
        Part.Cells before = part("walk", 0, Part.Cells.class);
        Part.Cells after = part("walk", 1, Part.Cells.class);
        assertThat(before.window()).hasSize(9);
        assertThat(after.picked()).isEqualTo(before.picked()).contains(new Pixel(3, 4));
        assertThat(after.result().frame().offset(new Pixel(3, 4))).isEqualTo(after.written());
    }

    /** Only the hair is left of two pulls that lie on one another. */
    @Test
    void theDifferenceOfTheTwoPullsIsTheHair() {
        Image difference = (Image) part("two-images", 2, Part.Cells.class).result();
        assertThat(Histogram.of(difference).count(0)).isBetween(240, 255);
    }
}
