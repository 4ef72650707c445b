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
final class MarkCommand implements Callable<Integer> {

    private final Syntax syntax;
    private final Argument<Path> file;
    private final Argument<List<Path>> answers;
    private final Argument<Path> out;
    private final Argument<Path> reports;
    private final Argument<Boolean> followIsWrong;

    MarkCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("Marks answers to an exercise. Exit code 1 when something differs or an answer cannot be marked.");
        file = syntax.next("EXERCISE", Path.class, "An exercise (.pixeron-exercise.json).");
        answers = syntax.others("ANSWERS",
                "Filled-in tables, spreadsheets with a sheet for each, pictures, projects, and folders of them. Without any, a list of "
                        + "files, one a line, is read from standard input, and each row is written as soon as it is known.");
        out = syntax.option("--out", "RESULTS", Path.class, ".csv, with slips and parts in two files beside it, or .xlsx. Needed with ANSWERS.");
        reports = syntax.option("--reports", "FOLDER", Path.class, "A folder that gets a report (PDF) for each answer.");
        followIsWrong = syntax.flag("--follow-is-wrong", "A value that follows from an earlier mistake does not count as right.");
    }

    @Override
    public Integer call() {
        Marker marker = new Marker(new Variants(ExerciseFile.read(file.value())));
        if (answers.value().isEmpty()) {
            return stream(marker);
        } else if (!out.isGiven()) {
            throw PixeronException.of("Missing required option --out RESULTS.csv; only a list of files on standard input goes without it.");
        }
        ResultsFile.requireKnown(out.value());
        List<Path> files = AnswerReader.files(answers.value()).stream().filter(answer -> !isOwn(answer)).toList();
        if (files.isEmpty()) {
            throw PixeronException.of("There are no answers: no table, spreadsheet, picture or project is in %s.", answers.value().get(0));
        }
        List<Marked> marks = Marker.notingSame(files.parallelStream().flatMap(answer -> marker.marks(answer).stream()).toList());
        ClassTable table = new ClassTable(marks, marker.partTitles(), !followIsWrong.value());
        List<Path> written = ResultsFile.write(out.value(), table);
        if (reports.isGiven()) {
            report(marks);
        }
        PrintWriter console = syntax.out();
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
        String own = out.value().getFileName().toString().replaceFirst("\\.[A-Za-z]+$", "");
        boolean isResult = answer.toAbsolutePath().getParent().equals(out.value().toAbsolutePath().getParent())
                && name.matches(Pattern.quote(own) + "(-slips|-parts)?\\.(csv|xlsx)");
        return isResult || name.endsWith(ExerciseFile.ENDING);
    }

    private void report(List<Marked> marks) {
        NewFolder.make(reports.value());
        marks.parallelStream().filter(Marked::isMarked).forEach(marked -> ReportFile.write(reports.value().resolve(reportName(marked)),
                ReportMaker.of(marked.work().orElseThrow(), Progress.NONE)));
    }

    private static String reportName(Marked marked) {
        return marked.source().replaceAll("(\\.pixeron)?\\.[A-Za-z0-9]{2,5}(?=,|$)", "").replaceAll("[^\\p{L}\\p{N} ._-]", "_") + ".pdf";
    }

    private int stream(Marker marker) {
        if (out.isGiven() || reports.isGiven()) {
            throw PixeronException.of("No answers are named; a list of files on standard input is marked without --out and --reports, row by row to standard output.");
        }
        PrintWriter console = syntax.out();
        ClassTable table = new ClassTable(List.of(), marker.partTitles(), !followIsWrong.value());
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
