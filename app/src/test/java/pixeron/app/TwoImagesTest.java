package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.MenuButton;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.chain.Link;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.catalog.StepLine;

/** Another image beside the one that is worked on: opened, kept, named in a step, removed, with real keys. */
class TwoImagesTest extends WindowTest {

    @BeforeEach
    void openTwoPulls() {
        open(write("first.pgm", "P2 2 2 7  1 2  3 4"));
        when(dialogs.chooseToOpen(any(), any())).thenReturn(Optional.of(write("second pull.pgm", "P2 2 2 7  4 2  1 7")));
        push(KeyCode.SHORTCUT, KeyCode.ALT, KeyCode.O);
        until(() -> !bench().project().images().isEmpty());
        settle();
    }

    private void addByKeys(String name) {
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write(name);
        push(KeyCode.ENTER);
        settle();
    }

    @SuppressWarnings("unchecked") // the only box with a text field is that of a reference
    private ComboBox<String> other() {
        return lookup((ComboBox<?> box) -> box.isEditable() && canBeSeen(box)).query();
    }

    private String lines() {
        return String.join("; ", bench().project().chain().links().stream().map(Link::step).map(step -> step.line()).toList());
    }

    @Test
    void itIsOnTheShelfAndAStepTakesIt() {
        assertThat(shownText()).contains("OTHER IMAGES").contains("second-pull\n2 × 2");
        addByKeys("combine");
        assertThat(other().getItems()).containsExactly("step:0", "second-pull");
        assertThat(lines()).as("the image that came last").isEqualTo("combine with=second-pull by=absolute-difference");
        interact(() -> other().getSelectionModel().select("step:0"));
        settle();
        // The cursor is in the first field already.
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("second-pull");
        settle();
        assertThat(lines()).isEqualTo("combine with=second-pull by=absolute-difference");
        assertThat(after()).isEqualTo(Image.of(7, new int[][] {{3, 0}, {2, 3}}));
        assertThat(shownText()).contains("t = 4   second-pull at row 0, column 0");
        interact(() -> other().getSelectionModel().select("step:0"));
        settle();
        assertThat(lines()).isEqualTo("combine with=step:0 by=absolute-difference");
        assertThat(after()).isEqualTo(Image.of(7, new int[][] {{0, 0}, {0, 0}}));
    }

    @Test
    void aKeptResultIsAnotherImageAndAllOfItIsUndone() {
        addByKeys("invert");
        push(KeyCode.SHORTCUT, KeyCode.K);
        settle();
        assertThat(bench().project().images()).extracting(image -> image.name()).containsExactly("second-pull", "result-1");
        assertThat(bench().project().images().get(1).input()).isEqualTo(Image.of(7, new int[][] {{6, 5}, {4, 3}}));
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(bench().project().images()).hasSize(1);
        addByKeys("join");
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("second-pull");
        settle();
        more("Remove from shelf");
        assertThat(shownText()).contains("There is no image second-pull").doesNotContain("second-pull\n2 × 2");
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(after()).isEqualTo(Image.of(7, new int[][] {{6, 5, 4, 2}, {4, 3, 1, 7}}));
    }

    @Test
    void aStepThatIsNamedStaysBeforeTheOneThatNamesIt() {
        addByKeys("invert");
        addByKeys("combine");
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("step:1");
        settle();
        interact(() -> lookup((javafx.scene.Node node) -> node.getStyleClass().contains("step-row")
                && String.valueOf(node.getAccessibleText()).startsWith("Step 1")).query().requestFocus());
        push(KeyCode.DELETE);
        assertThat(shownText()).contains("Step 2 uses the result of step 1. Change step 2 first.");
        push(KeyCode.ALT, KeyCode.DOWN);
        assertThat(shownText()).contains("Cannot move: step 1 (combine) needs the result of step 2");
        assertThat(lines()).isEqualTo("invert; combine with=step:1 by=absolute-difference");
    }

    /** The second image is between Before and After, and a pixel picked on it is picked everywhere. */
    @Test
    void itIsASheetOfItsOwn() {
        addByKeys("combine");
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("second-pull");
        settle();
        pick(1, 1);
        assertThat(sheet("Other image").getAccessibleText()).isEqualTo("Other image, row 1, column 1: 7");
        assertThat(sheet("Before").localToScene(0, 0).getX()).isLessThan(sheet("Other image").localToScene(0, 0).getX());
        assertThat(sheet("Other image").localToScene(0, 0).getX()).isLessThan(sheet("After").localToScene(0, 0).getX());
        interact(() -> bench().pickOther(new Pixel(0, 1)));
        assertThat(bench().pickedProperty().get()).isEqualTo(new Pixel(0, 1));
        push(KeyCode.SHORTCUT, KeyCode.DIGIT4);
        assertThat(canBeSeen(sheet("Other image"))).isFalse();
        interact(() -> bench().select(-1));
        settle();
        assertThat(canBeSeen(sheet("Other image"))).isFalse();
    }

    private void more(String item) {
        clickOn(lookup((MenuButton button) -> "More actions for the image second-pull".equals(button.getAccessibleText())).<MenuButton>query());
        clickOn(item);
        settle();
    }

    @Test
    void itIsRenamedOnTheShelfAndStepsFollow() {
        addByKeys("combine");
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("second-pull");
        settle();
        more("Rename");
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("self").push(KeyCode.ENTER);
        settle();
        assertThat(shownText()).contains("“self” is not a valid name for an image");
        more("Rename");
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("later").push(KeyCode.ENTER);
        settle();
        assertThat(lines()).isEqualTo("combine with=later by=absolute-difference");
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(lines()).isEqualTo("combine with=second-pull by=absolute-difference");
    }

    /** The second image gets steps of its own, is taken with and without them, and becomes the image. */
    @Test
    void itIsOpenedWithStepsOfItsOwn() {
        addByKeys("combine");
        clickOn("Open");
        settle();
        assertThat(shownText()).contains("Image second-pull").contains("Back to the image");
        assertThat(stage.getScene().getFocusOwner().getAccessibleText()).as("the keyboard").startsWith("Image: second pull.pgm");
        addByKeys("invert");
        assertThat(after()).isEqualTo(Image.of(7, new int[][] {{3, 5}, {6, 0}}));
        push(KeyCode.SHORTCUT, KeyCode.ALT, KeyCode.B);
        settle();
        assertThat(shownText()).doesNotContain("Back to the image").contains("1 step");
        assertThat(after()).as("absolute differences of 1 2 3 4 and 3 5 6 0").isEqualTo(Image.of(7, new int[][] {{2, 3}, {3, 4}}));
        assertThat(other().getItems()).containsExactly("step:0", "second-pull", "second-pull:0", "second-pull:1");
        interact(() -> other().getSelectionModel().select("second-pull:0"));
        settle();
        assertThat(after()).isEqualTo(Image.of(7, new int[][] {{3, 0}, {2, 3}}));
        more("Use as the image");
        until(() -> bench().project().images().size() == 2);
        settle();
        assertThat(bench().project().chain().input()).isEqualTo(Image.of(7, new int[][] {{3, 5}, {6, 0}}));
        assertThat(after()).as("of 3 5 6 0 and 4 2 1 7").isEqualTo(Image.of(7, new int[][] {{1, 3}, {5, 7}}));
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(bench().project().chain().input()).isEqualTo(Image.of(7, new int[][] {{1, 2}, {3, 4}}));
    }

    /** A step that another one takes stays, and the message says who takes it. */
    @Test
    void aStepThatIsTakenElsewhereStays() {
        interact(() -> bench().turnTo(project -> project.opened("second-pull").withChain(chain -> chain.withStep(0, StepLine.parse("invert"))).atMain()
                .withChain(chain -> chain.withStep(0, StepLine.parse("combine with=second-pull:1 by=sum"))).opened("second-pull")));
        settle();
        interact(() -> lookup((javafx.scene.Node node) -> node.getStyleClass().contains("step-row")
                && String.valueOf(node.getAccessibleText()).startsWith("Step 1")).query().requestFocus());
        push(KeyCode.DELETE);
        assertThat(shownText()).contains("Another step uses second-pull:1. Change that step first.");
        assertThat(bench().project().chain().size()).isEqualTo(1);
    }

    /** Numbers on the clipboard become another image; unequal sizes are said, and one click brings them together. */
    @Test
    void twoSizesAreBroughtTogetherByOneClick() {
        clipboard("1\t2\t3\n4\t5\t6\n7\t0\t1\n");
        push(KeyCode.SHORTCUT, KeyCode.ALT, KeyCode.V);
        until(() -> bench().project().images().size() == 2);
        assertThat(bench().project().images().get(1).input().frame()).isEqualTo(new Frame(3, 3, 7));
        interact(() -> bench().addStep(StepLine.parse("combine with=pasted by=sum")));
        settle();
        assertThat(shownText()).contains("The image has 2 × 2 pixels, pasted 3 × 3");
        clickOn("Crop pasted to 2 × 2");
        until(() -> bench().project().images().size() == 3);
        settle();
        assertThat(lines()).isEqualTo("combine with=pasted-crop by=sum");
        assertThat(after()).isEqualTo(Image.of(7, new int[][] {{2, 4}, {7, 7}}));
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(lines()).isEqualTo("combine with=pasted by=sum");
        assertThat(bench().project().images()).hasSize(2);
    }
}
