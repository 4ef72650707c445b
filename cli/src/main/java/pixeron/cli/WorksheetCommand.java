package pixeron.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.exercise.Variant;
import pixeron.exercise.Variants;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.print.Worksheet;
import pixeron.exercise.quiz.QuizFormat;
import pixeron.report.pdf.Paper;
import pixeron.step.Progress;

/** {@code pixeron worksheet EXERCISE --variants N --out FOLDER}: pages, tables to fill in, projects, key and quiz. */
final class WorksheetCommand implements Runnable {

    private final Syntax syntax;
    private final Argument<Path> file;
    private final Argument<Integer> count;
    private final Argument<Path> out;
    private final Argument<Paper> paper;
    private final Argument<String> quiz;
    private final Argument<Boolean> isReplacing;

    WorksheetCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe(
                "Create worksheets: for each variant of an exercise a page to print, a table to fill in (CSV and XLSX) and a project with the "
                        + "results covered; also an answer key with workings and a quiz for learning systems.");
        file = syntax.next("EXERCISE", Path.class, "Exercise (.pixeron-exercise.json).");
        count = syntax.required("--variants", "N", int.class, "Number of variants, 1 to " + Variants.MOST + ".");
        out = syntax.required("--out", "FOLDER", Path.class, "Output folder; created if missing.");
        paper = syntax.option("--paper", "PAPER", Paper.class, new PaperWord(), "Paper size, a4 or letter; default: the usual size in your country.");
        quiz = syntax.option("--quiz", "FORMAT", String.class, "qti-3.0",
                "Format of the quiz: qti-3.0, qti-2.1, moodle-xml, or all of them; default: qti-3.0.");
        isReplacing = syntax.flag("--replace", "Replace existing files.");
    }

    @Override
    public void run() {
        Variants variants = new Variants(ExerciseFile.read(file.value()));
        Set<QuizFormat> formats = QuizFormat.named(quiz.value());
        List<Variant> first = variants.first(count.value());
        if (!isReplacing.value()) {
            requireFree(first, formats);
        }
        List<Path> files = Worksheet.write(out.value(), first, formats, Optional.ofNullable(paper.value()).orElseGet(Paper::usual), Progress.NONE);
        syntax.out().println("Wrote " + files.size() + " files for " + count.value() + (count.value() == 1 ? " variant" : " variants") + " into " + out.value());
    }

    private void requireFree(List<Variant> variants, Set<QuizFormat> formats) {
        try {
            Worksheet.requireFree(out.value(), variants, formats);
        } catch (PixeronException there) {
            throw PixeronException.because(there, "%s Add --replace, or choose another folder.", there.getMessage());
        }
    }
}
