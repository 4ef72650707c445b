package pixeron.cli;

import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
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
import pixeron.exercise.mark.ClassTable;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.Marker;
import pixeron.exercise.mark.ResultsFile;
import pixeron.exercise.print.Worksheet;
import pixeron.exercise.quiz.QuizFormat;
import pixeron.project.Project;
import pixeron.report.pdf.Paper;
import pixeron.step.Progress;

/** All exercises of the library, and one of them given out, answered by people who do not exist, and marked. */
final class DemoExercise {

    private static final String GIVEN_OUT = "equalize-threshold";
    private static final int SHEETS = 3;
    private static final List<String> PEOPLE = List.of("Ada", "Ben", "Cleo", "Dan", "Eva", "Finn", "Gwen", "Hal", "Ida", "Jon", "Kim", "Lee");

    private DemoExercise() {
    }

    /**
     * Returns the number of files written.
     *
     * @param folder gets the exercises, the folders sheets and answers, and results.csv
     */
    static int write(Path folder) {
        NewFolder.make(folder);
        int files = 0;
        for (Topic topic : Library.topics()) {
            ExerciseFile.write(folder.resolve(topic.id() + ExerciseFile.ENDING), topic.exercise(Size.SMALL));
            files++;
        }
        Variants variants = new Variants(Library.topic(GIVEN_OUT).orElseThrow().exercise(Size.SMALL));
        files += Worksheet.write(folder.resolve("sheets"), variants.first(SHEETS), EnumSet.of(QuizFormat.QTI_3_0), Paper.A4, Progress.NONE).size();
        Path answers = folder.resolve("answers");
        NewFolder.make(answers);
        Marker marker = new Marker(variants);
        List<Path> written = PEOPLE.stream().map(person -> answer(answers, variants.variant(PEOPLE.indexOf(person) + 1), person)).toList();
        List<Marked> marks = written.stream().flatMap(answer -> marker.marks(answer).stream()).toList();
        return files + written.size() + ResultsFile.write(folder.resolve("results.csv"), new ClassTable(marks, marker.partTitles(), true)).size();
    }

    /** Every third one is right; the others make one slip each. */
    private static Path answer(Path folder, Variant variant, String person) {
        int number = variant.number() - 1;
        Map<String, Project> slipped = Simulated.slipped(variant, (Part.OfCells) variant.parts().get(number % 2));
        List<String> ids = List.copyOf(slipped.keySet());
        Project work = number % 3 == 0 ? Simulated.right(variant) : slipped.get(ids.get(number * 5 % ids.size()));
        Path file = folder.resolve(person + ".csv");
        AnswerBook.writeText(file, AnswerTable.filled(variant, work, person));
        return file;
    }
}
