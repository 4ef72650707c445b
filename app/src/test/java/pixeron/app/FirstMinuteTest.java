package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import org.junit.jupiter.api.Test;
import pixeron.app.folder.Settings;
import pixeron.app.folder.UserFolder;
import pixeron.image.Pixel;
import pixeron.project.demo.DemoCases;

class FirstMinuteTest extends WindowTest {

    @Override
    protected boolean isFirstStart() {
        return true;
    }

    private List<String> done() {
        return seen(HBox.class).stream().filter(task -> task.getStyleClass().contains("done")).map(HBox::getAccessibleText).toList();
    }

    /** By keyboard alone: the three lines get their ticks one after the other, and the case is the smallest one. */
    @Test
    void theThreeThingsAreTickedAsTheyAreDone() {
        until(() -> bench().shown() != null && shownText().contains("QUICK START"));
        settle();
        assertThat(bench().project().name()).isEqualTo(DemoCases.all().get(0).title());
        assertThat(done()).isEmpty();
        clickOn(sheet("By hand"));
        pick(5, 0);
        until(() -> done().size() == 1);
        write("7");
        push(KeyCode.ENTER);
        settle();
        until(() -> done().size() == 2);
        assertThat(bench().hand().check().filled()).isEqualTo(41);
        clickOn("Slips");
        until(() -> done().size() == 3);
        assertThat(shownText()).contains("Done. F1 explains the focused control");
        clickOn("Close");
        assertThat(shownText()).doesNotContain("QUICK START");
        assertThat(Settings.read(new UserFolder(folder.resolve("data"))).isGuided()).as("not shown again").isTrue();
    }

    @Test
    void canBeSkippedFoundAgainAndEndsWithAnotherCase() {
        until(() -> shownText().contains("QUICK START"));
        clickOn("Skip");
        assertThat(shownText()).doesNotContain("QUICK START");
        push(KeyCode.SHORTCUT, KeyCode.F1);
        until(() -> shownText().contains("QUICK START"));
        open(write("proof.pgm", "P2 2 1 7 1 2"));
        until(() -> !shownText().contains("QUICK START"));
    }
}
