package pixeron.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.mockito.ArgumentMatchers;
import org.mockito.Mockito;
import pixeron.exercise.Part;
import pixeron.exercise.Variant;
import pixeron.exercise.Variants;
import pixeron.exercise.answer.AnswerBook;
import pixeron.exercise.answer.AnswerTable;
import pixeron.exercise.answer.Simulated;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.library.Library;
import pixeron.exercise.library.Size;
import pixeron.exercise.library.Topic;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.project.Project;

/** Pictures of practicing, setting an exercise and marking a class. */
@EnabledIfSystemProperty(named = "pixeron.pictures", matches = ".+")
class ExercisePictures extends PictureTest {

    private static final List<String> NAMES = List.of("Ada", "Ben", "Cleo", "Dan", "Eva", "Finn", "Gwen", "Hal", "Ida", "Jon", "Kim", "Lee");

    /** The result upside down: white for black and back. */
    @Test
    void practicing() throws IOException {
        clickOn("Practice");
        until(() -> !lookup(".blank").queryAll().isEmpty());
        @SuppressWarnings("unchecked")
        ComboBox<Optional<Topic>> topics = (ComboBox<Optional<Topic>>) lookup((ComboBox<?> box) -> "Topic".equals(box.getAccessibleText())).query();
        interact(() -> topics.setValue(Library.topic("equalize-threshold")));
        until(() -> shownText().contains("Equalize the faint proof"));
        Variant variant = new Variants(Library.topic("equalize-threshold").orElseThrow().exercise(Size.SMALL)).variant(1);
        for (Part part : variant.parts()) {
            for (Pixel pixel : ((Part.OfCells) part).pixels()) {
                int right = ((Rational) part.operation().value(pixel)).toInt();
                write(String.valueOf(part.asked().step() == 1 ? right : 7 - right));
                push(KeyCode.ENTER);
            }
        }
        push(KeyCode.SHORTCUT, KeyCode.ENTER);
        until(() -> shownText().contains("agree"));
        push(KeyCode.SHORTCUT, KeyCode.ENTER);
        push(KeyCode.SHORTCUT, KeyCode.ENTER);
        take("practice");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.D);
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
        take("practice-dark-large");
    }

    @Test
    void programs() throws IOException {
        demo("Levels of the sort");
        clickOn("Loops");
        clickOn("Python");
        take("loop-python");
        push(KeyCode.SHORTCUT, KeyCode.R);
        take("run");
    }

    @Test
    void setting() throws IOException {
        demo("Three-bit sort");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.E);
        until(() -> shownText().contains("cells"));
        take("exercise");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.D);
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
        take("exercise-dark-large");
    }

    @Test
    void marking() throws IOException {
        Path exercise = folder.resolve("equalize" + ExerciseFile.ENDING);
        ExerciseFile.write(exercise, Library.topic("equalize-threshold").orElseThrow().exercise(Size.SMALL));
        Variants variants = new Variants(ExerciseFile.read(exercise));
        Path answers = Files.createDirectory(folder.resolve("answers"));
        for (int n = 0; n < NAMES.size(); n++) {
            Variant variant = variants.variant(n + 1);
            Map<String, Project> slipped = Simulated.slipped(variant, (Part.OfCells) variant.parts().get(n % 2));
            List<String> ids = slipped.keySet().stream().filter(id -> !id.contains(" ")).toList();
            Project work = n % 3 == 0 ? Simulated.right(variant) : slipped.get(ids.get(n * 5 % ids.size()));
            AnswerBook.writeText(answers.resolve(NAMES.get(n) + ".csv"), AnswerTable.filled(variant, work, NAMES.get(n)));
        }
        Files.writeString(answers.resolve("without code.csv"), "1,2\n3,4\n");
        Mockito.when(dialogs.chooseToOpen(ArgumentMatchers.contains("exercise"), ArgumentMatchers.any())).thenReturn(Optional.of(exercise));
        Mockito.when(dialogs.chooseFolder(ArgumentMatchers.any())).thenReturn(Optional.of(answers));
        clickOn("Mark a class…");
        clickOn("Exercise…");
        until(() -> shownText().contains("Equalize, then threshold"));
        clickOn("Add a folder…");
        until(() -> shownText().contains("12 of 13 marked"));
        take("class");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.D);
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
        take("class-dark-large");
    }
}
