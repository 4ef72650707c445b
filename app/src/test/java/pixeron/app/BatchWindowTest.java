package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Labeled;
import javafx.scene.control.TableView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import pixeron.app.bench.steps.Thumbnail;
import pixeron.recipe.Batch;
import pixeron.step.catalog.StepLine;

/** The steps on the bench, applied to a folder of images. */
class BatchWindowTest extends WindowTest {

    private void press(String text) {
        Button button = lookup((Button one) -> text.equals(one.getText()) && canBeSeen(one)).query();
        interact(button::fire);
    }

    @Test
    void aFolderIsPreviewedAndWritten() throws IOException {
        Path proofs = Files.createDirectories(folder.resolve("proofs"));
        for (String name : new String[] {"a.pgm", "b.pgm", "c.pgm", "d.pgm"}) {
            Files.writeString(proofs.resolve(name), "P2 2 1 7 1 2");
        }
        Files.writeString(proofs.resolve("e.csv"), "1,x");
        Path results = Files.createDirectories(folder.resolve("results"));
        open(write("one.pgm", "P2 2 1 7 3 4"));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.F);
        assertThat(shownText()).contains("There are no steps to apply.");
        interact(() -> bench().addStep(StepLine.parse("invert")));
        settle();
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.F);
        assertThat(shownText()).contains("The step of this branch is applied to each image");
        when(dialogs.chooseFolder(any())).thenReturn(Optional.of(proofs)).thenReturn(Optional.of(results));
        press("Choose a folder of images…");
        until(() -> shownText().contains("5 images"));
        assertThat(lookup((Thumbnail one) -> one.getParent().getParent().getStyleClass().contains("batch-preview")).queryAll()).as("three before, three after").hasSize(6);
        press("Results into…");
        assertThat(results).isEmptyDirectory();
        press("Apply");
        until(() -> shownText().contains("4 of 5 results written."));
        TableView<Batch.Done> table = lookup((TableView<Batch.Done> one) -> "Result for each image".equals(one.getAccessibleText())).query();
        until(() -> table.getItems().size() == 5);
        assertThat(table.getItems().get(4).problem().orElseThrow()).contains("is not a number");
        assertThat(results.resolve("d.pgm")).exists();
        assertThat(results.resolve("e.csv")).doesNotExist();
        press("Apply");
        until(() -> shownText().contains("0 of 5 results written."));
        interact(() -> assertThat(lookup((Labeled label) -> label.getText() != null && label.getText().contains("already exists")).queryAll()).isNotEmpty());
        push(KeyCode.ESCAPE);
        assertThat(shownText()).doesNotContain("Apply to files");
    }
}
