package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import pixeron.PixeronException;
import pixeron.app.bench.BenchView;
import pixeron.format.ImageFiles;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.catalog.Catalog;
import pixeron.step.catalog.StepLine;
import pixeron.step.key.AreaParameter;
import pixeron.step.key.ChannelsParameter;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.ListParameter;
import pixeron.step.key.MaskParameter;
import pixeron.step.key.MatrixParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.PairsParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.ReferenceParameter;

/** A step is added, its first parameter is typed at once: what was typed is its value, the first time and the second. */
class AddStepTest extends WindowTest {

    private static final Image IMAGE = Image.of(7, new int[][] {{1, 2, 3}, {4, 5, 6}, {7, 0, 1}});

    private Step step() {
        return bench().project().chain().stage(bench().position()).link().step();
    }

    private void add(StepType type) {
        interact(() -> ((BenchView) lookup(".bench").query()).addStep(type));
    }

    /** Four cuts need five values: the first that is typed waits, with a word on why, until the other goes with it. */
    @Test
    void keysThatGoTogetherAreTypedOneAfterTheOther() {
        open(write("ladder.pgm", "P2 5 1 255 10 60 110 160 240"));
        add(StepLine.parse("posterize cuts=50 values=\"0 255\"").type());
        settle();
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("50 100 150 200");
        assertThat(shownText()).contains("posterize has 4 cut points and 2 values. Give one value more than cut points.");
        push(KeyCode.TAB);
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("50 100 150 200 255");
        settle();
        assertThat(step().line()).isEqualTo("posterize cuts=\"50 100 150 200\" values=\"50 100 150 200 255\"");
        assertThat(shownText()).doesNotContain("one value more than cut points");
        // What still waits is abandoned when the step is changed from elsewhere.
        write(" 7");
        assertThat(shownText()).contains("4 cut points and 6 values");
        interact(() -> bench().undo());
        settle();
        assertThat(shownText()).doesNotContain("4 cut points and 6 values");
    }

    /** What a user could type for it. */
    private String typed(Parameter<?> key) {
        if (key instanceof ChoiceParameter choice) {
            return choice.choices().stream().skip(1).filter(other -> isPossible(choice, other)).findFirst().orElseThrow().word();
        } else if (key instanceof PairsParameter) {
            return "1 3";
        } else if (key instanceof ReferenceParameter) {
            return "step:0";
        } else if (key instanceof ChannelsParameter) {
            return "blue green red";
        } else if (key instanceof AreaParameter) {
            return "0 0 1 2";
        }
        boolean isNumber = key instanceof NumberParameter || key instanceof ListParameter || key instanceof MaskParameter || key instanceof MatrixParameter;
        return switch (step().type().name() + " " + key.key()) {
            case "set-pixels at" -> "1 1 3";
            case "line from" -> "1 1";
            case "uniform-noise from" -> "-3";
            default -> key.key().equals("shape") ? "1" : isNumber ? "3" : "r + 3";
        };
    }

    /** Some choices need another parameter as well, such as the value of a constant border. */
    private boolean isPossible(ChoiceParameter key, ChoiceParameter.Choice choice) {
        try {
            return step().with(key, choice) != null;
        } catch (PixeronException needsMore) {
            return false;
        }
    }

    /** The first that has a value of its own, else the first. */
    private static Parameter<?> first(Step step) {
        List<Parameter<?>> keys = new ArrayList<>(step.type().parameters());
        keys.remove(StepType.CHANNELS);
        return keys.stream().filter(step.arguments()::isGiven).findFirst().orElse(keys.get(0));
    }

    private static <T> String printed(Parameter<T> key, String text) {
        return key.print(key.parse(text));
    }

    private static <T> String value(Step step, Parameter<T> key) {
        return step.arguments().find(key).map(key::print).orElse("");
    }

    /** A weight is typed into the first cell of its grid; of all else the whole value is typed. */
    private void typeTheFirst(StepType type) {
        Parameter<?> key = first(step());
        String text = typed(key);
        write(text);
        push(KeyCode.ENTER);
        String now = value(step(), key);
        assertThat(step().type().name()).isEqualTo(type.name());
        if (key instanceof MatrixParameter) {
            assertThat(now).as("%s %s", type.name(), key.key()).startsWith(text + " ");
        } else {
            assertThat(now).as("%s %s", type.name(), key.key()).isEqualTo(printed(key, text));
        }
    }

    /** Twice each: a field that was never shown takes the keyboard in another way than one that was. */
    private void typeTheFirstOfAll(List<StepType> types) {
        for (StepType type : types) {
            for (int time = 0; time < 2; time++) {
                add(type);
                typeTheFirst(type);
                int at = bench().position();
                interact(() -> bench().editChain(at - 1, chain -> chain.removed(at)));
            }
        }
    }

    private static List<StepType> takenBy(pixeron.image.Result before) {
        return Catalog.all().stream().filter(type -> type.takes(before) && !type.parameters().isEmpty()).toList();
    }

    @Test
    void whatIsTypedAfterAddingIsTheFirstParameterOfEveryStepOnAnImage() {
        Path file = folder.resolve("image.pgm");
        ImageFiles.write(file, IMAGE, false);
        open(file);
        typeTheFirstOfAll(takenBy(IMAGE));
    }

    @Test
    void andOfThoseThatTakeColorOrASpectrum() {
        Path file = folder.resolve("color.ppm");
        ColorImage color = new ColorImage(IMAGE, IMAGE, IMAGE, java.util.Optional.empty());
        ImageFiles.write(file, color, false);
        open(file);
        List<StepType> gray = takenBy(IMAGE);
        typeTheFirstOfAll(takenBy(color).stream().filter(type -> !gray.contains(type)).toList());
        interact(() -> bench().editChain(1, chain -> chain.withStep(0, StepLine.parse("gray")).withStep(1, StepLine.parse("fourier"))));
        settle();
        typeTheFirstOfAll(takenBy(bench().shown().seenAfter().orElseThrow().result()));
    }

    /** However it is added, the first field has the keyboard, and its whole value is selected. */
    private void assertFirstFieldIsSelected(String value) {
        Node[] owner = new Node[1];
        interact(() -> owner[0] = stage.getScene().getFocusOwner());
        TextField field = owner[0] instanceof ComboBox<?> box ? box.getEditor() : (TextField) owner[0];
        assertThat(field.getText()).isEqualTo(value);
        assertThat(field.getSelectedText()).isEqualTo(value);
    }

    @Test
    void everyWayOfAddingLeadsToTheFirstField() {
        open(write("ramp.pgm", "P2 3 1 15  1 2 3"));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("threshold");
        clickOn("Threshold");
        assertFirstFieldIsSelected("7");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.A);
        write("add");
        push(KeyCode.ENTER);
        assertFirstFieldIsSelected(value(step(), first(step())));
        push(KeyCode.SHORTCUT, KeyCode.Z);
        push(KeyCode.SHORTCUT, KeyCode.F);
        write("multiply");
        push(KeyCode.ENTER);
        assertFirstFieldIsSelected(value(step(), first(step())));
        interact(() -> lookup(".step-row").queryAll().stream().skip(1).findFirst().orElseThrow().requestFocus());
        push(KeyCode.SHORTCUT, KeyCode.D);
        assertThat(bench().position()).isEqualTo(1);
        assertFirstFieldIsSelected("7");
        interact(() -> lookup(".step-row").queryAll().stream().skip(2).findFirst().orElseThrow().requestFocus());
        push(KeyCode.B);
        assertThat(bench().project().branches()).hasSize(2);
        assertFirstFieldIsSelected("7");
    }

    @Test
    void aLimitThatNoLevelCanReachIsSaidAtItsField() {
        open(write("ramp.pgm", "P2 3 1 15  1 2 3"));
        add(Catalog.find("threshold").orElseThrow());
        write("907");
        settle();
        assertThat(shownText()).contains("No level is above 15.");
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("15");
        settle();
        assertThat(shownText()).doesNotContain("No level is above");
        push(KeyCode.SHORTCUT, KeyCode.A);
        write("-1");
        settle();
        assertThat(shownText()).contains("No level is below 0.");
    }
}
