package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import org.junit.jupiter.api.Test;
import pixeron.app.help.figure.FigureView;
import pixeron.project.demo.DemoCases;

class FindTest extends WindowTest {

    private List<String> titles() {
        return seen(Label.class).stream().filter(label -> label.getStyleClass().contains("finder-title")).map(Label::getText).toList();
    }

    private String heading() {
        return seen(TextFlow.class).stream().filter(flow -> flow.getStyleClass().contains("page-heading-1")).findFirst()
                .map(flow -> ((Text) flow.getChildren().get(0)).getText()).orElse("");
    }

    @Test
    void everyKindIsFoundAndDone() {
        push(KeyCode.SHORTCUT, KeyCode.F);
        write("laid");
        until(() -> titles().contains("Laid paper"));
        push(KeyCode.ENTER);
        until(() -> bench().shown() != null);
        assertThat(bench().project().name()).isEqualTo("Laid paper");
        open(write("proof.pgm", "P2 2 1 7 1 2"));
        push(KeyCode.SHORTCUT, KeyCode.F);
        write("invert");
        assertThat(heading()).isEqualTo("Negative");
        push(KeyCode.ENTER);
        settle();
        assertThat(bench().project().chain().size()).isEqualTo(1);
        push(KeyCode.SHORTCUT, KeyCode.F);
        write("undo");
        assertThat(titles()).first().isEqualTo("Undo");
        push(KeyCode.ENTER);
        settle();
        assertThat(bench().project().chain().size()).isZero();
        push(KeyCode.SHORTCUT, KeyCode.F);
        write("dark");
        push(KeyCode.ENTER);
        assertThat(window.getStyleClass()).contains("dark");
        push(KeyCode.SHORTCUT, KeyCode.F);
        write("cumulative count");
        assertThat(heading()).isEqualTo("cumulative count");
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("equalization and matching");
        assertThat(shownText()).contains("Example: four pixels 1 1 2 3");
        assertThat(seen(FigureView.class)).singleElement().satisfies(figure -> assertThat(figure.getAccessibleText()).contains("before and after equalization"));
        push(KeyCode.ESCAPE);
        assertThat(titles()).isEmpty();
    }

    @Test
    void nothingFoundSaysSo() {
        push(KeyCode.SHORTCUT, KeyCode.F);
        write("xyzzy");
        assertThat(titles()).isEmpty();
        assertThat(shownText()).contains("Nothing found");
    }

    /** F1 explains what has the keyboard: a field, a step, a column; where that has no word, the keys are shown. */
    @Test
    void explainsWhatHasTheKeyboard() {
        interact(() -> bench().open(DemoCases.all().get(0).saved(), java.util.Optional.empty(), true));
        settle();
        Node rounding = lookup((ComboBox<?> box) -> box.getAccessibleText() != null && box.getAccessibleText().startsWith("Rounding")).query();
        interact(rounding::requestFocus);
        push(KeyCode.F1);
        assertThat(heading()).isEqualTo("rounding");
        push(KeyCode.ESCAPE);
        assertThat(rounding.isFocused()).as("the keyboard is where it was").isTrue();
        interact(() -> lookup(".step-row").nth(1).query().requestFocus());
        push(KeyCode.F1);
        assertThat(heading()).isEqualTo("Multiply");
        push(KeyCode.ESCAPE);
        interact(() -> sheet("After").requestFocus());
        push(KeyCode.F1);
        assertThat(shownText()).contains("add a step: type part of its name");
    }
}
