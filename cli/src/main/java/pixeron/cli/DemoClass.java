package pixeron.cli;

import java.io.PrintWriter;
import java.io.Writer;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import pixeron.byhand.answer.AnswerFile;
import pixeron.format.ImageFiles;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.project.demo.DemoCases;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** The answers of a small class to one exercise, made here, each with a slip of its own, and the table of results. */
final class DemoClass {

    /** The exercise, and what a user did instead. */
    private static final String EXERCISE = "box size=3 border=replicate";
    private static final Map<String, String> ANSWERS = answers();

    private DemoClass() {
    }

    private static Map<String, String> answers() {
        Map<String, String> answers = new LinkedHashMap<>();
        answers.put("answer-1-right.csv", EXERCISE);
        answers.put("answer-2-fractions-dropped.csv", "box size=3 border=replicate rounding=truncate");
        answers.put("answer-3-zeros-outside.csv", "box size=3");
        answers.put("answer-4-both.csv", "box size=3 rounding=truncate");
        answers.put("answer-5-own-program.pgm", "box size=3 border=mirror-whole");
        answers.put("answer-6-not-rounded.csv", "box size=3 border=replicate rounding=none");
        return answers;
    }

    /**
     * Returns the number of files written.
     *
     * @param folder where the answers go, with results.csv beside them
     */
    static int write(Path folder) {
        Image sort = DemoCases.all().get(0).saved().project().chain().source();
        NewFolder.make(folder);
        ANSWERS.forEach((name, line) -> ImageFiles.write(folder.resolve(name),
                StepLine.parse(line).bind(sort).result(Progress.NONE), false));
        Operation operation = StepLine.parse(EXERCISE).bind(sort);
        Frame grid = operation.frame();
        FolderCheck.write(FolderCheck.Subject.of(operation), folder, new FolderCheck.Target(folder.resolve("results.csv"), true), file -> new AnswerChoice.Written(
                AnswerFile.read(file, grid).get(0).sheet(grid), Optional.empty()), new PrintWriter(Writer.nullWriter()));
        return ANSWERS.size() + 1;
    }
}
