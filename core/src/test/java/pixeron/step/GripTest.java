package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.step.catalog.StepLine;

/** What is taken hold of on the sheets, dragged without a sheet. */
class GripTest {

    private static final Image PHOTO = Image.ofLevels(6, 10, 255, n -> n);
    private static final Map<String, Result> OTHERS = Map.of("seal", Image.ofLevels(3, 4, 255, n -> 200 + n));

    private static List<Grip> grips(String line) {
        Step step = StepLine.parse(line);
        return step.type().grips(step, new Inputs(PHOTO, OTHERS::get));
    }

    /** First pixel, size and last pixel: rows 1 to 3 are three, columns 2 to 6 five. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"crop row=1 column=2 height=3 width=5; BEFORE Rectangle (1, 2) to (3, 6), 3 × 5",
        "paste row=-1 column=8 from=\"0 0 2 3\"; BEFORE Source (0, 0) to (1, 2), 2 × 3 | AFTER Target (−1, 8) to (0, 10), 2 × 3",
        "paste row=2 column=1 with=seal; OTHER Source (0, 0) to (2, 3), 3 × 4 | AFTER Target (2, 1) to (4, 4), 3 × 4",
        "translate down=-2 right=3; AFTER Translate −2 down, 3 right", "rotate degrees=30; AFTER Angle 30°", "add amount=5 area=\"1 1 2 2\"; BEFORE Area (1, 1) to (2, 2), 2 × 2",
        "add amount=5;''"})
    void whereTheyAre(String line, String expected) {
        assertThat(String.join(" | ", grips(line).stream().map(grip -> grip.on() + " " + grip.name() + " " + grip.words(0)).toList())).isEqualTo(expected);
    }

    @Test
    void aRectangleStaysOnItsImageAndIsCountedFromOneWhereThatIsChosen() {
        Grip.Rectangle crop = (Grip.Rectangle) grips("crop row=1 column=2 height=3 width=5").get(0);
        assertThat(crop.words(1)).isEqualTo("(2, 3) to (4, 7), 3 × 5");
        assertThat(crop.change().apply(crop.piece().moved(9, -9)).line()).isEqualTo("crop row=3 column=0 height=3 width=5");
        assertThat(crop.change().apply(Piece.between(5, 8, 2, 1)).line()).isEqualTo("crop row=2 column=1 height=4 width=8");
        assertThat(crop.change().apply(Piece.between(-3, -2, 20, 30)).line()).isEqualTo("crop row=0 column=0 height=6 width=10");
    }

    @Test
    void aPieceIsLaidSoThatSomeOfItFallsOnTheImage() {
        Grip.Rectangle place = (Grip.Rectangle) grips("paste row=2 column=1 with=seal").get(1);
        assertThat(place.isSizable()).isFalse();
        assertThat(place.change().apply(place.piece().moved(-20, 20)).line()).isEqualTo("paste row=-2 column=9 with=seal");
        Grip.Rectangle piece = (Grip.Rectangle) grips("paste row=2 column=1 with=seal").get(0);
        assertThat(piece.change().apply(Piece.between(1, 1, 9, 2)).line()).isEqualTo("paste row=2 column=1 from=\"0 1 3 2\" with=seal");
    }

    /** From level to straight up is a quarter turn counter-clockwise; what is dragged is added to what there was. */
    @Test
    void anglesAndMovesAreDragged() {
        Grip.Arm angle = (Grip.Arm) grips("rotate degrees=30 size=keep").get(0);
        Grip.Place middle = angle.anchor();
        assertThat(middle).isEqualTo(new Grip.Place(3, 5));
        Grip.Place level = new Grip.Place(3, 9);
        assertThat(angle.change().to(level, new Grip.Place(0, 5)).line()).isEqualTo("rotate degrees=120 size=keep");
        assertThat(angle.change().to(level, new Grip.Place(5, 3)).line()).isEqualTo("rotate degrees=-105 size=keep");
        assertThat(angle.tip().row()).isLessThan(3);
        Grip.Arm move = (Grip.Arm) grips("translate down=-2 right=3").get(0);
        assertThat(move.tip()).isEqualTo(new Grip.Place(1, 8));
        assertThat(move.change().to(move.tip(), new Grip.Place(2.6, 6.9)).line()).isEqualTo("translate down=0 right=2");
    }

    /** 6 × 10 and 3 × 4: by the ratio of rows 10 × 3 ÷ 6 = 5 columns. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "combine with=seal by=sum; Resize the image by the ratio of rows, to 3 × 5: resize height=3 by=mean | Crop the image to 3 × 4: crop row=0 column=0 height=3 width=4",
        "formula expression=\"r + t\" with=seal; Resize the image by the ratio of rows, to 3 × 5: resize height=3 by=mean | Crop the image to 3 × 4: crop row=0 column=0 height=3 width=4",
        "join with=seal side=right; Resize the image to 3 rows: resize height=3 by=mean | Crop the image to 3 rows: crop row=0 column=0 height=3 width=10",
        "join with=seal side=below; Resize the image to 4 columns: resize width=4 by=mean | Crop the image to 4 columns: crop row=0 column=0 height=6 width=4",
        "invert;''", "formula expression=r;''"})
    void whatBringsTwoImagesToOneSize(String line, String expected) {
        Step step = StepLine.parse(line);
        assertThat(String.join(" | ", step.type().mends(step, new Inputs(PHOTO, OTHERS::get)).stream().map(mend -> mend.words() + ": " + mend.line()).toList()))
                .isEqualTo(expected);
    }
}
