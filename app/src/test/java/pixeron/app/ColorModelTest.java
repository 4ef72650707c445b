package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import pixeron.image.ModelImage;
import pixeron.image.Pixel;
import pixeron.step.catalog.StepLine;

/** A color model in the window: one component is looked at, worked out and written by hand at a time. */
class ColorModelTest extends WindowTest {

    private Path two() {
        return write("two.ppm", "P3 2 1 255\n203 130 217  255 10 200\n");
    }

    private void add(String step) {
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write(step);
        push(KeyCode.ENTER);
        settle();
    }

    @Test
    void aComponentIsLookedAtByItsName() {
        open(two());
        add("hsv");
        assertThat(bench().shown().seenAfter().orElseThrow().result()).isInstanceOf(ModelImage.class);
        assertThat(shownText()).contains("Hue", "Saturation", "Value", "blue is the largest channel").doesNotContain("In color");
        clickOn("Saturation");
        settle();
        assertThat(bench().shown().face()).isEqualTo("saturation");
        assertThat(shownText()).contains("S = C ÷ X");
        push(KeyCode.ALT, KeyCode.DIGIT3);
        settle();
        assertThat(bench().shown().face()).isEqualTo("value");
    }

    /** Added to the second pixel, whose hue is negative before it goes around: 313 − 360 = −47. */
    @Test
    void valuesByHandBelongToTheComponent() {
        open(two());
        add("hsv");
        interact(() -> bench().pick(new Pixel(0, 1)));
        interact(() -> bench().hand().write(bench().hand().target(), new Pixel(0, 1), "-47"));
        settle();
        assertThat(bench().shown().check().differing()).hasSize(1);
        clickOn("Value");
        settle();
        assertThat(bench().shown().check().filled()).isZero();
    }

    /** A step begins with the component that is looked at, and the way back needs no choice. */
    @Test
    void stepsFitWhatIsThere() {
        open(two());
        add("hsv");
        clickOn("Value");
        settle();
        add("equalize");
        assertThat(bench().project().chain().stage(1).link().step().line()).isEqualTo("equalize channels=value");
        Node toggle = lookup(node -> "Work on hue".equals(node.getAccessibleText()) && node.isVisible()).query();
        clickOn(toggle);
        settle();
        assertThat(bench().project().chain().stage(1).link().step().line()).isEqualTo("equalize channels=\"hue value\"");
        add("convert");
        assertThat(bench().project().chain().stage(2).link().step()).isEqualTo(StepLine.parse("convert to=rgb"));
        assertThat(bench().shown().seenAfter().orElseThrow().hasColor()).isTrue();
    }
}
