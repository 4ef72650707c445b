package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import pixeron.image.Image;
import pixeron.step.catalog.StepLine;

/** Singular values in the window: their table and plot, and results of several ranks beside each other. */
class LowRankTest extends WindowTest {

    @BeforeEach
    void openStrip() {
        open(write("strip.pgm", "P2 4 3 7  0 1 2 3  4 5 6 7  7 6 5 4"));
        interact(() -> bench().addStep(StepLine.parse("low-rank energy=90 rounding=floor")));
        settle();
    }

    private String line() {
        return bench().project().chain().stage(0).link().step().line();
    }

    /** σ are 15.849, 3.848 and 0; a bar is a third of the plot, or 40 points. */
    @Test
    void theLastValueThatIsKeptIsDragged() {
        assertThat(shownText()).contains("This energy is reached with k = 2 of 3 values.");
        clickOn("Table");
        assertThat(shownText()).contains("15.84899").contains("3.848308");
        Node plot = lookup((Node node) -> "variance-plot".equals(node.getStyleClass().stream().findFirst().orElse("")) && canBeSeen(node)).query();
        assertThat(plot.getAccessibleText()).isEqualTo("Singular values, 2 of 3 are kept; drag to keep more or fewer");
        moveTo(plot.localToScreen(70, 60)).press(javafx.scene.input.MouseButton.PRIMARY).moveTo(plot.localToScreen(30, 60)).release(javafx.scene.input.MouseButton.PRIMARY);
        settle();
        assertThat(line()).isEqualTo("low-rank keep=1 rounding=floor");
        assertThat(after()).isEqualTo(Image.of(7, new int[][] {{1, 1, 1, 1}, {5, 5, 5, 5}, {5, 5, 5, 5}}));
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(line()).isEqualTo("low-rank energy=90 rounding=floor");
    }

    @Test
    void severalRanksStandBesideEachOther() {
        clickOn("Compare");
        clickOn("Ranks");
        until(() -> shownText().contains("rank 2"));
        settle();
        // Three rows have no rank above three; two patterns are all of this image.
        assertThat(shownText()).contains("rank 1").doesNotContain("rank 4");
        until(() -> shownText().contains("the same"));
        // 15.849² and 3.848² are the squares of its two singular values: 14.81 ÷ 12 is left behind the first.
        until(() -> shownText().contains("   1      1.23        8    66.7"));
        askForRanks("2");
        assertThat(shownText()).contains("rank 2").contains("   2      0.00       16   133.3").doesNotContain("66.7");
        askForRanks("none of them");
        assertThat(shownText()).contains("Use whole numbers from 1 to 3, such as 1 4 16.");
    }

    private void askForRanks(String words) {
        javafx.scene.control.TextField field = lookup((Node node) -> "Ranks to compare".equals(node.getAccessibleText())).query();
        clickOn(field);
        interact(field::selectAll);
        write(words);
        push(KeyCode.ENTER);
        settle();
        settle();
    }
}
