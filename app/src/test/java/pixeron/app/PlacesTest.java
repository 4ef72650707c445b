package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import pixeron.app.model.Selection;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.catalog.StepLine;

/** Steps that read between pixels or cut out: what a user sees of the places, and takes hold of. */
class PlacesTest extends WindowTest {

    private void openWith(String step) {
        open(write("start.pgm", "P2 4 3 255  10 20 30 40  50 60 70 80  90 100 110 120"));
        interact(() -> bench().addStep(StepLine.parse(step)));
        settle();
    }

    @Test
    void writingForwardsLeavesHoles() {
        openWith("resize scale=2");
        push(KeyCode.F9);
        clickOn("Forward mapping");
        until(() -> bench().walking().mistakeProperty().get() != null);
        // The image is put to the odd rows and columns; 36 of 48 places stay empty.
        assertThat(shownText()).contains("Demonstration of a mistake").contains("At the end 36 of 48 values differ");
        interact(() -> bench().walking().toEnd());
        pick(1, 3);
        settle();
        assertThat(sheet("After").getAccessibleText()).isEqualTo("After, row 1, column 3: 20");
        assertThat(shownText()).contains("s = r(0, 1) = 20");
        pick(0, 3);
        settle();
        assertThat(sheet("After").getAccessibleText()).contains("a hole: no value is written here");
        assertThat(shownText()).contains("no (y, x) is mapped to (0, 3), so it stays 0");
    }

    private String line() {
        return bench().project().chain().stage(bench().position()).link().step().line();
    }

    /** The rectangle of a crop is moved by its inside and sized by its corner; what is first, last and how large is at the left. */
    @Test
    void aCropIsDraggedOnBefore() {
        openWith("crop row=0 column=0 height=2 width=2");
        assertThat(shownText()).contains("Rectangle (0, 0) to (1, 1), 2 × 2");
        dragOn("Before", 1, 1, 2.1, 2.2);
        assertThat(line()).isEqualTo("crop row=1 column=1 height=2 width=2");
        dragOn("Before", 1.05, 1.05, 0, 0);
        assertThat(line()).isEqualTo("crop row=0 column=0 height=3 width=3");
        assertThat(shownText()).contains("Rectangle (0, 0) to (2, 2), 3 × 3");
        assertThat(after()).isEqualTo(Image.of(255, new int[][] {{10, 20, 30}, {50, 60, 70}, {90, 100, 110}}));
        // Each drag is one thing to be undone, and stays on the image.
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(line()).isEqualTo("crop row=1 column=1 height=2 width=2");
        dragOn("Before", 2, 2, 9, 9);
        assertThat(line()).isEqualTo("crop row=1 column=2 height=2 width=2");
    }

    @Test
    void aPressWithoutADragPicksThePixel() {
        openWith("crop row=0 column=0 height=3 width=3");
        clickOn(at("Before", 1.5, 1.5));
        settle();
        assertThat(bench().pickedProperty().get()).isEqualTo(new Pixel(1, 1));
        assertThat(line()).isEqualTo("crop row=0 column=0 height=3 width=3");
    }

    @Test
    void angleMoveAndPieceAreDraggedOnAfter() {
        openWith("rotate degrees=0 size=keep");
        // From level to straight up.
        dragOn("After", 1.5, 3.2, 0.1, 2);
        assertThat(line()).isEqualTo("rotate degrees=90 size=keep");
        interact(() -> bench().addStep(StepLine.parse("translate down=0 right=0")));
        settle();
        dragOn("After", 1.5, 2, 2.5, 1);
        assertThat(line()).isEqualTo("translate down=1 right=-1");
        assertThat(shownText()).contains("Translate 1 down, −1 right");
        interact(() -> bench().addStep(StepLine.parse("paste row=0 column=0 from=\"0 0 1 2\"")));
        settle();
        dragOn("After", 0.5, 1, 2.5, 4);
        assertThat(line()).isEqualTo("paste row=2 column=3 from=\"0 0 1 2\"");
    }

    /** What is marked is the rectangle that a new crop cuts out, and the piece that a new paste lays. */
    @Test
    void aMarkedRectangleIsWhatANewStepBeginsWith() {
        open(write("start.pgm", "P2 4 3 255  10 20 30 40  50 60 70 80  90 100 110 120"));
        interact(() -> bench().mark(Selection.rectangle(new Pixel(1, 1), new Pixel(2, 2))));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("paste").push(KeyCode.ENTER);
        settle();
        assertThat(line()).isEqualTo("paste row=1 column=2 from=\"1 1 2 2\"");
        assertThat(after()).isEqualTo(Image.of(255, new int[][] {{10, 20, 30, 40}, {50, 60, 60, 70}, {90, 100, 100, 110}}));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("crop").push(KeyCode.ENTER);
        settle();
        assertThat(line()).isEqualTo("crop row=1 column=1 height=2 width=2");
    }
}
