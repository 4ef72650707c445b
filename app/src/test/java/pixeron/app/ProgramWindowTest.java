package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentMatchers;
import org.mockito.Mockito;

/** The loop of a step as a program, and a user's own program in place of values by hand. */
class ProgramWindowTest extends WindowTest {

    @BeforeEach
    void openCase() {
        clickOn("Three-bit sort");
        settle();
    }

    private TextInputControl field(String words) {
        return lookup((TextInputControl one) -> words.equals(one.getAccessibleText())).query();
    }

    /** In Python and in Java, saved whole and with the loop left open. */
    @Test
    void theLoopIsAProgram() {
        clickOn("Loops");
        clickOn("Python");
        TextArea text = (TextArea) field("The step as a program");
        assertThat(text.getText()).contains("# multiply factor=1.25", "factor = Fraction(5, 4)", "exact = factor * r", "for i in range(H):");
        clickOn("Java");
        assertThat(text.getText()).contains("public class Multiply");
        Path file = folder.resolve("Multiply.java");
        Mockito.when(dialogs.chooseToSave(ArgumentMatchers.any(), ArgumentMatchers.eq("Multiply.java"), ArgumentMatchers.any())).thenReturn(Optional.of(file));
        clickOn("Save…");
        until(() -> Files.exists(file));
        assertThat(file).content().isEqualTo(text.getText());
        clickOn("Save template…");
        until(() -> shownText().contains("Saved Multiply.java"));
        until(() -> {
            try {
                return Files.readString(file).contains("s is calculated here");
            } catch (IOException notYet) {
                return false;
            }
        });
        // All steps up to the selected one, in one program.
        clickOn("All steps");
        until(() -> text.getText().contains("make_image_1(image)"));
        assertThat(text.getText()).contains("// step 1: multiply factor=1.25", "public class ThreeBitSort").doesNotContain("step 2");
        interact(() -> bench().select(2));
        until(() -> text.getText().contains("image_3 = make_image_3(image_2)"));
        assertThat(text.getText()).contains("// step 3: threshold at=4 compare=at-least");
        clickOn((Labeled) lookup((Labeled label) -> "Words".equals(label.getText())).query());
        assertThat(text.getParent().isVisible()).isFalse();
    }

    /** A program that drops fractions: shown before it is run, then what it wrote is in By hand, with its slip and the smallest image. */
    @Test
    void aProgramIsRunForValuesByHand() throws IOException {
        Path program = Files.writeString(folder.resolve("Mine.java"), """
                import java.nio.file.*; import java.util.*; import java.util.stream.*;
                class Mine { public static void main(String[] a) throws Exception { System.out.println("inked");
                    Files.write(Path.of(a[1]), Files.readAllLines(Path.of(a[0])).stream().map(l -> Stream.of(l.split(","))
                        .map(c -> String.valueOf(Math.min(7, Integer.parseInt(c) * 5 / 4))).collect(Collectors.joining(","))).toList()); } }
                """);
        push(KeyCode.SHORTCUT, KeyCode.R);
        interact(() -> {
            field("The command that runs your program").setText("\"" + Path.of(System.getProperty("java.home"), "bin", "java") + "\" \"" + program + "\" {in} {out}");
            field("Number of random images").setText("1");
        });
        clickOn("Run");
        assertThat(shownText()).contains("Pixeron will run:").contains("Only run programs that you trust.");
        int before = bench().project().sheet(0).cells().size();
        assertThat(before).isEqualTo(40);
        clickOn("Run");
        // Every run starts a Java of its own, and the smallest image takes several.
        until(() -> shownText().contains("are in By hand."));
        assertThat(shownText()).contains("images. The values for this image are in By hand.");
        assertThat(((TextArea) field("Results")).getText()).contains("(Rounded down)", "Smallest failing image", "Output of the program:\ninked");
        assertThat(bench().project().sheet(0).cells()).hasSize(64);
        push(KeyCode.ESCAPE);
        settle();
        push(KeyCode.SHORTCUT, KeyCode.Z);
        settle();
        assertThat(bench().project().sheet(0).cells()).hasSize(40);
    }

    @Test
    void whatCannotBeRunIsSaid() {
        push(KeyCode.SHORTCUT, KeyCode.R);
        interact(() -> field("The command that runs your program").setText("mine {out}"));
        clickOn("Run");
        assertThat(shownText()).contains("{in} for the input file");
        interact(() -> field("The command that runs your program").setText("no-such-program {in} {out}"));
        clickOn("Run");
        clickOn("Run");
        until(() -> shownText().contains("Cannot start"));
    }
}
