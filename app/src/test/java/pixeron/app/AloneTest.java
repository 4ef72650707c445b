package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import pixeron.image.Pixel;
import pixeron.step.catalog.StepLine;

/** Looking for a mistake alone, with one hint after the other. */
class AloneTest extends WindowTest {

    @Test
    void hintsComeOneAfterTheOther() {
        open(write("halves.csv", "3,5,8,11\n"));
        interact(() -> {
            bench().addStep(StepLine.parse("divide divisor=2"));
            bench().hand().edit(sheet -> sheet.with(new Pixel(0, 1), "2").with(new Pixel(0, 2), "4").with(new Pixel(0, 3), "5"));
            bench().pick(new Pixel(0, 3));
        });
        settle();
        assertThat(shownText()).contains("1 of 3 agree");
        clickOn("Slips");
        assertThat(shownText()).contains("Rounded down");
        clickOn("Find it yourself");
        assertThat(shownText()).doesNotContain("Rounded down", "of 3 agree", "dropped");
        assertThat(sheet("After").getAccessibleText()).contains("not written yet");
        assertThat(sheet("By hand").getAccessibleText()).doesNotContain("differs");
        clickOn("Next hint");
        assertThat(shownText()).contains("1. 2 of your 3 values differ.").doesNotContain("2. The first");
        clickOn("Next hint");
        assertThat(shownText()).contains("2. The first is at row 0, column 1.");
        clickOn("Next hint");
        // 2.5 is right in both ways until it is rounded.
        assertThat(shownText()).contains("3. Check this line of its working: round.").doesNotContain("Rounded down");
        assertThat(bench().savedProject().view().hints()).isEqualTo(3);
        clickOn("Next hint");
        assertThat(shownText()).contains("Rounded down", "1 of 3 agree");
        assertThat(sheet("After").getAccessibleText()).contains("6");
    }
}
