package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.ScrollEvent;
import org.junit.jupiter.api.Test;
import pixeron.format.ImageFiles;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.step.catalog.StepLine;

/** Numbers are moved by sliders, arrow keys, the wheel and dragging, and the result follows. */
class SlidersTest extends WindowTest {

    private void openWith(String line, boolean isColor) {
        Image gray = Image.of(255, new int[][] {{10, 100, 200}});
        Path file = folder.resolve(isColor ? "c.ppm" : "g.pgm");
        ImageFiles.write(file, isColor ? new ColorImage(gray, gray, gray, Optional.empty()) : gray, false);
        open(file);
        interact(() -> bench().addStep(StepLine.parse(line)));
        settle();
    }

    private String line() {
        return bench().project().chain().stage(bench().position()).link().step().line();
    }

    private List<Slider> sliders(String name) {
        return seen(Slider.class).stream().filter(slider -> String.valueOf(slider.getAccessibleText()).startsWith(name)).toList();
    }

    /** From −255 to 255 there are 510 steps; at step 285 stands 30. */
    @Test
    void aSliderMovesItsNumberAndTheResultFollows() {
        openWith("add amount=5", false);
        Slider slider = sliders("Amount").get(0);
        assertThat(slider.getValue()).isEqualTo(260);
        interact(() -> slider.setValue(285));
        settle();
        assertThat(line()).isEqualTo("add amount=30");
        assertThat(after()).isEqualTo(Image.of(255, new int[][] {{40, 130, 230}}));
        // What is typed moves the slider; beyond its end it stays there, and the number stays what it is.
        TextField field = lookup((TextField one) -> String.valueOf(one.getAccessibleText()).startsWith("Amount")).query();
        interact(() -> field.setText("1000"));
        settle();
        assertThat(line()).isEqualTo("add amount=1000");
        assertThat(slider.getValue()).isEqualTo(510);
    }

    private ToggleButton toggle(String name) {
        return lookup((ToggleButton button) -> name.equals(button.getText()) && canBeSeen(button)).query();
    }

    /** A channel that is switched off takes its number with it, and the step stays one that can be done. */
    @Test
    void theNumberOfAChannelGoesWithIt() {
        openWith("add amount=\"40 -60 25\"", true);
        clickOn(toggle("G"));
        settle();
        assertThat(line()).isEqualTo("add amount=\"40 25\" channels=\"red blue\"");
        assertThat(bench().shown().failure()).isEmpty();
        clickOn(toggle("R"));
        settle();
        assertThat(line()).isEqualTo("add amount=25 channels=blue");
    }

    @Test
    void arrowKeysWheelAndDraggingGoOnByItsSteps() {
        openWith("multiply factor=1", false);
        TextField field = lookup((TextField one) -> String.valueOf(one.getAccessibleText()).startsWith("Factor")).query();
        interact(field::requestFocus);
        push(KeyCode.UP);
        push(KeyCode.UP);
        settle();
        assertThat(line()).isEqualTo("multiply factor=1.1");
        push(KeyCode.SHIFT, KeyCode.DOWN);
        settle();
        assertThat(line()).isEqualTo("multiply factor=0.6");
        Label name = lookup((Label label) -> "Factor".equals(label.getText()) && canBeSeen(label)).query();
        interact(() -> name.fireEvent(new ScrollEvent(ScrollEvent.SCROLL, 0, 0, 0, 0, false, false, false, false, false, false, 0, 40, 0, 40,
                ScrollEvent.HorizontalTextScrollUnits.NONE, 0, ScrollEvent.VerticalTextScrollUnits.NONE, 0, 0, null)));
        settle();
        assertThat(line()).isEqualTo("multiply factor=0.65");
        drag(name).dropBy(30, 0);
        settle();
        assertThat(line()).isEqualTo("multiply factor=1.15");
    }

    /** Three channels, three sliders; where all are alike one number is written. */
    @Test
    void everyChannelHasItsSlider() {
        openWith("add amount=10", true);
        List<Slider> three = sliders("Amount");
        assertThat(three).hasSize(3);
        interact(() -> three.get(1).setValue(255 - 60));
        settle();
        assertThat(line()).isEqualTo("add amount=\"10 -60 10\"");
        interact(() -> three.get(1).setValue(255 + 10));
        settle();
        assertThat(line()).isEqualTo("add amount=10");
        interact(() -> bench().edit(project -> project.withChain(chain -> chain.replaced(0, StepLine.parse("add amount=\"1 2\" channels=\"red blue\"")))));
        settle();
        assertThat(sliders("Amount")).extracting(Slider::getAccessibleText).containsExactly("Amount, red", "Amount, blue");
        assertThat(line()).as("new sliders write nothing").isEqualTo("add amount=\"1 2\" channels=\"red blue\"");
    }
}
