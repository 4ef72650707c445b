package pixeron.exercise;

import java.nio.file.Path;
import pixeron.exercise.answer.AnswerBook;
import pixeron.exercise.answer.AnswerTable;
import pixeron.exercise.answer.Simulated;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.Marker;
import pixeron.project.Project;

/**
 * Hands in answers to an exercise and has them marked.
 *
 * @param folder where the files are written
 */
record ClassOfAnswers(Path folder, Variants variants, Marker marker) {

    ClassOfAnswers(Path folder, Exercise exercise) {
        this(folder, new Variants(exercise));
    }

    private ClassOfAnswers(Path folder, Variants variants) {
        this(folder, variants, new Marker(variants));
    }

    Marked answer(String name, int number, Project work) {
        Path file = folder.resolve(name + " " + number + ".csv");
        AnswerBook.writeText(file, AnswerTable.filled(variants.variant(number), work, name));
        return marker.marks(file).get(0);
    }

    Marked right(String name, int number) {
        return answer(name, number, Simulated.right(variants.variant(number)));
    }
}
