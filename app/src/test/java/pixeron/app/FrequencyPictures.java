package pixeron.app;

import java.io.IOException;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import pixeron.image.Pixel;
import pixeron.step.catalog.StepLine;

/** Pictures of spectra, as {@link Pictures}. */
@EnabledIfSystemProperty(named = "pixeron.pictures", matches = ".+")
class FrequencyPictures extends PictureTest {

    @Test
    void byHand() throws IOException {
        demo("Laid paper");
        take("laid");
        interact(() -> bench().looking().channelProperty().set("real"));
        pick(2, 3);
        take("laid-real");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
        take("laid-large");
    }

    @Test
    void disturbance() throws IOException {
        demo("Banded proof");
        interact(() -> bench().select(1));
        settle();
        pick(12, 10);
        take("spectrum");
        clickOn("Table");
        take("peaks");
        clickOn("Sheets");
        interact(() -> bench().select(2));
        settle();
        interact(() -> bench().looking().channelProperty().set("log"));
        pick(12, 10);
        take("notch");
        interact(() -> bench().select(3));
        settle();
        pick(4, 4);
        take("inverse");
    }

    /** The period is changed in the selected step, and its points move in the spectrum beside. */
    @Test
    void moving() throws IOException {
        demo("Banded proof");
        clickOn("Compare");
        settle();
        take("moving");
    }

    /** What is left of the dusty strip without its strongest pattern. */
    @Test
    void withoutTheFirst() throws IOException {
        demo("Dusty strip");
        clickOn("Without value 1");
        settle();
        take("without-first");
    }

    @Test
    void passFilter() throws IOException {
        demo("Banded proof");
        interact(() -> bench().select(1));
        settle();
        interact(() -> bench().addStep(StepLine.parse("frequency-filter keep=low radius=4")));
        settle();
        take("pass");
        clickOn("Curve");
        take("pass-curve");
    }
}
