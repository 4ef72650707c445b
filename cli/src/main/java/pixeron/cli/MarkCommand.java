package pixeron.cli;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import pixeron.PixeronException;
import pixeron.exercise.Variants;
import pixeron.exercise.answer.AnswerReader;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.mark.ClassTable;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.Marker;
import pixeron.exercise.mark.ResultsFile;
import pixeron.report.ReportFile;
import pixeron.report.ReportMaker;
import pixeron.step.Progress;

/** {@code pixeron mark EXERCISE ANSWERS… --out RESULTS.csv}: a row for each answer, and what went wrong how often. */
@Command(name = "mark", mixinStandardHelpOptions = true,
        description = "Marks answers to an exercise. Exit code 1 when something differs or an answer cannot be marked.")
final class MarkCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "EXERCISE", description = "An exercise (.pixeron-exercise.json).")
    private Path file;

    @Parameters(index = "1..*", arity = "0..*", paramLabel = "ANSWERS",
            description = "Filled-in tables, spreadsheets with a sheet for each, pictures, projects, and folders of them. Without any, a list of files, "
                    + "one a line, is read from standard input, and each row is written as soon as it is known.")
    private List<Path> answers = new ArrayList<>();

    @Option(names = "--out", paramLabel = "RESULTS", description = ".csv, with slips and parts in two files beside it, or .xlsx. Needed with ANSWERS.")
    private Path out;

    @Option(names = "--reports", paramLabel = "FOLDER", description = "A folder that gets a report (PDF) for each answer.")
    private Path reports;

    @Option(names = "--follow-is-wrong", description = "A value that follows from an earlier mistake does not count as right.")
    private boolean followIsWrong;

    @Override
    public Integer call() {
        Marker marker = new Marker(new Variants(ExerciseFile.read(file)));
        if (answers.isEmpty()) {
            return stream(marker);
        } else if (out == null) {
            throw PixeronException.of("Missing required option --out RESULTS.csv; only a list of files on standard input goes without it.");
        }
        ResultsFile.requireKnown(out);
        List<Path> files = AnswerReader.files(answers).stream().filter(answer -> !isOwn(answer)).toList();
        if (files.isEmpty()) {
            throw PixeronException.of("There are no answers: no table, spreadsheet, picture or project is in %s.", answers.get(0));
        }
        List<Marked> marks = Marker.notingSame(files.parallelStream().flatMap(answer -> marker.marks(answer).stream()).toList());
        ClassTable table = new ClassTable(marks, marker.partTitles(), !followIsWrong);
        List<Path> written = ResultsFile.write(out, table);
        if (reports != null) {
            report(marks);
        }
        PrintWriter console = spec.commandLine().getOut();
        long marked = marks.stream().filter(Marked::isMarked).count();
        console.println(marked + " of " + marks.size() + " answers marked, results in " + written.get(0));
        table.slips().forEach(slip -> console.println("  " + slip.what() + ": " + slip.by().size()));
        return exitCode(marks.stream().allMatch(MarkCommand::isAllRight));
    }

    private static int exitCode(boolean isAllRight) {
        return isAllRight ? 0 : Pixeron.DIFFERS;
    }

    private static boolean isAllRight(Marked marked) {
        return marked.isMarked() && marked.agree() == marked.filled();
    }

    /** Results of before and reports lie in the same folder as the answers only too often. */
    private boolean isOwn(Path answer) {
        String name = answer.getFileName().toString();
        String own = out.getFileName().toString().replaceFirst("\\.[A-Za-z]+$", "");
        boolean isResult = answer.toAbsolutePath().getParent().equals(out.toAbsolutePath().getParent())
                && name.matches(Pattern.quote(own) + "(-slips|-parts)?\\.(csv|xlsx)");
        return isResult || name.endsWith(ExerciseFile.ENDING);
    }

    private void report(List<Marked> marks) {
        NewFolder.make(reports);
        marks.parallelStream().filter(Marked::isMarked).forEach(marked -> ReportFile.write(reports.resolve(reportName(marked)),
                ReportMaker.of(marked.work().orElseThrow(), Progress.NONE)));
    }

    private static String reportName(Marked marked) {
        return marked.source().replaceAll("(\\.pixeron)?\\.[A-Za-z0-9]{2,5}(?=,|$)", "").replaceAll("[^\\p{L}\\p{N} ._-]", "_") + ".pdf";
    }

    private int stream(Marker marker) {
        if (out != null || reports != null) {
            throw PixeronException.of("No answers are named; a list of files on standard input is marked without --out and --reports, row by row to standard output.");
        }
        PrintWriter console = spec.commandLine().getOut();
        ClassTable table = new ClassTable(List.of(), marker.partTitles(), !followIsWrong);
        boolean isAllRight = true;
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))) {
            CSVPrinter csv = new CSVPrinter(console, CSVFormat.DEFAULT);
            csv.printRecord(table.head());
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                if (!line.isBlank()) {
                    for (Marked marked : marker.marks(Path.of(line.strip()))) {
                        csv.printRecord(table.row(marked));
                        console.flush();
                        isAllRight &= isAllRight(marked);
                    }
                }
            }
        } catch (IOException trouble) {
            throw new UncheckedIOException(trouble);
        }
        return exitCode(isAllRight);
    }
}
