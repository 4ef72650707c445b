package pixeron.exercise.quiz;

import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import pixeron.PixeronException;
import pixeron.exercise.Variant;
import pixeron.format.SafeFile;
import pixeron.step.Progress;

/** The variants of an exercise as questions, to be written in any of the formats. Immutable. */
public final class Quiz {

    private final List<Question> questions;

    private Quiz(List<Question> questions) {
        this.questions = questions;
    }

    /**
     * Makes the questions, with the values of known slips: most of the work, done once for all formats.
     *
     * @param variants of one exercise, at least one
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    public static Quiz of(List<Variant> variants, Progress progress) {
        AtomicInteger done = new AtomicInteger();
        return new Quiz(variants.parallelStream().map(variant -> {
            progress.report((double) done.getAndIncrement() / variants.size());
            return Question.of(variant);
        }).toList());
    }

    /**
     * Writes the quiz.
     *
     * @throws PixeronException if the file cannot be written
     */
    public void write(Path file, QuizFormat format) {
        byte[] bytes = format.bytes(questions);
        SafeFile.write(file, out -> out.write(bytes));
    }
}
