package pixeron.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import pixeron.exercise.Variants;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.print.Worksheet;
import pixeron.report.pdf.Paper;
import pixeron.step.Progress;

/** {@code pixeron worksheet EXERCISE --variants N --out FOLDER}: pages, tables to fill in, projects, key and quiz package. */
@Command(name = "worksheet", mixinStandardHelpOptions = true,
        description = "Writes for each variant of an exercise a page to print, a table to fill in (CSV and XLSX) and a project with the results "
                + "covered, and once for all a key with workings and a quiz package.")
final class WorksheetCommand implements Runnable {

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "EXERCISE", description = "An exercise (.pixeron-exercise.json).")
    private Path file;

    @Option(names = "--variants", paramLabel = "N", required = true, description = "How many, 1 to " + Variants.MOST + ".")
    private int count;

    @Option(names = "--out", paramLabel = "FOLDER", required = true, description = "Is made where there is none; files of the same names are replaced.")
    private Path out;

    @Option(names = "--paper", paramLabel = "PAPER", description = "a4 or letter; default what is usual where you are.", converter = PaperWord.class)
    private Paper paper;

    @Override
    public void run() {
        Variants variants = new Variants(ExerciseFile.read(file));
        List<Path> files = Worksheet.write(out, variants.first(count), Optional.ofNullable(paper).orElseGet(Paper::usual), Progress.NONE);
        spec.commandLine().getOut().println("Wrote " + files.size() + " files for " + count + (count == 1 ? " variant" : " variants") + " into " + out);
    }
}
