package pixeron.cli;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Function;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.exercise.Exercise;
import pixeron.exercise.Variants;
import pixeron.exercise.answer.AnswerFolder;
import pixeron.exercise.answer.Handed;
import pixeron.exercise.file.ExerciseFile;
import pixeron.exercise.mark.ClassTable;
import pixeron.exercise.mark.GradeTable;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.Marker;
import pixeron.exercise.mark.People;
import pixeron.exercise.mark.ReportFolder;
import pixeron.exercise.mark.ResultsFile;
import pixeron.format.ResultTable;
import pixeron.format.SafeFile;
import pixeron.report.Report;
import pixeron.report.ReportMaker;
import pixeron.step.Progress;

/** {@code pixeron mark EXERCISE ANSWERS… --out RESULTS.csv}: a row for each answer, and what went wrong how often. */
final class MarkCommand implements Callable<Integer> {

    /** How many names of files that were left out are listed. */
    private static final int TOLD = 5;

    private static final String PDF = "pdf";
    private static final List<String> FEEDBACK_FORMATS = List.of(PDF, "html");

    private final Syntax syntax;
    private final Argument<Path> file;
    private final Argument<List<Path>> answers;
    private final Argument<Path> out;
    private final Argument<Path> reports;
    private final Argument<Path> feedback;
    private final Argument<String> feedbackFormat;
    private final Argument<Path> grades;
    private final Argument<String> columns;
    private final Argument<Path> people;
    private final Argument<Boolean> followIsWrong;
    private final Argument<Boolean> isReplacing;

    MarkCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("Mark answers to an exercise. Exit code 1: some values differ, or an answer cannot be marked.");
        file = syntax.next("EXERCISE", Path.class, "Exercise (.pixeron-exercise.json).");
        answers = syntax.others("ANSWERS",
                "Filled-in tables, spreadsheets with one sheet per answer, pictures, projects, and folders of them. Without any, a list of "
                        + "files, one per line, is read from standard input, and each row is written at once.");
        out = syntax.option("--out", "RESULTS", Path.class, "Results as .csv (with two more files for slips and questions) or .xlsx; required with ANSWERS.");
        reports = syntax.option("--reports", "FOLDER", Path.class, "Folder for one PDF report per answer.");
        feedback = syntax.option("--feedback", "FOLDER", Path.class,
                "Folder for feedback to each student: the marked values and the first slip with both workings, at most two pages.");
        feedbackFormat = syntax.option("--feedback-format", "FORMAT", String.class, "Format of the feedback: pdf or html; default: pdf.");
        grades = syntax.option("--grades", "FILE", Path.class, "CSV file for a grade book, with one line per student.");
        columns = syntax.option("--columns", "LIST", String.class, "Columns of --grades, such as \"id=Student ID,points=Grade,feedback\". Use id, name, code, "
                + "points, maximum, percent and feedback.");
        people = syntax.option("--people", "LIST", Path.class, "CSV file with the columns id, name and code; --grades then has one line per student, also without an answer.");
        followIsWrong = syntax.flag("--follow-is-wrong", "Do not credit follow-through values.");
        isReplacing = syntax.flag("--replace", "Replace an existing results file among the answers, and existing reports.");
    }

    @Override
    public Integer call() {
        Exercise exercise = ExerciseFile.read(file.value());
        Marker marker = new Marker(new Variants(exercise));
        if (answers.value().isEmpty()) {
            return stream(marker);
        } else if (!out.isGiven()) {
            throw PixeronException.of("Missing required option --out RESULTS.csv; it may be omitted only when file names come from standard input.");
        }
        ResultsFile.requireKnown(out.value());
        requireGrades();
        requireFeedbackFormat();
        List<GradeTable.Titled> titled = GradeTable.columns(Optional.ofNullable(columns.value()));
        Optional<People> list = Optional.ofNullable(people.value()).map(People::read);
        AnswerFolder folder = AnswerFolder.of(answers.value());
        List<Handed> handed = answers(folder.handed());
        if (handed.isEmpty()) {
            throw PixeronException.of("No answers found: %s contains no table, spreadsheet, picture or project.", answers.value().get(0));
        }
        List<Marked> marks = Marker.notingSame(handed.parallelStream().flatMap(answer -> marker.marks(answer).stream()).toList());
        if (reports.isGiven()) {
            marks = reported(marks, reports.value(), "." + PDF, marked -> ReportMaker.of(marked.work().orElseThrow(), Progress.NONE));
        }
        if (feedback.isGiven()) {
            marks = reported(marks, feedback.value(), "." + feedbackFormat(), marked -> marker.feedback(marked, !followIsWrong.value()));
        }
        PrintWriter console = syntax.out();
        ClassTable table = new ClassTable(marks, marker.partTitles(), !followIsWrong.value());
        List<Path> written = ResultsFile.write(out.value(), table);
        if (grades.isGiven()) {
            GradeTable graded = GradeTable.of(marks, list, exercise.points(), !followIsWrong.value());
            ResultTable.write(grades.value(), graded.rows(titled));
            list.ifPresent(known -> tellMissing(graded, console));
        }
        long marked = marks.stream().filter(Marked::isMarked).count();
        console.println(marked + " of " + marks.size() + " answers marked, results in " + written.get(0));
        table.slips().forEach(slip -> console.println("  " + slip.title() + ": " + slip.by().size()));
        tellLeftOut(folder.leftOut(), console);
        return exitCode(marks.stream().allMatch(MarkCommand::isAllRight));
    }

    private void requireGrades() {
        if (!grades.isGiven() && (columns.isGiven() || people.isGiven())) {
            throw PixeronException.of("%s needs --grades FILE.", columns.isGiven() ? "--columns" : "--people");
        } else if (grades.isGiven() && ResultsFile.targets(out.value()).stream().anyMatch(target -> isSamePlace(target, grades.value()))) {
            throw PixeronException.of("The grades and the results cannot have the same name, %s.", grades.value());
        }
    }

    /** Files and folders that need not be there yet. */
    private static boolean isSamePlace(Path one, Path other) {
        return one.toAbsolutePath().normalize().equals(other.toAbsolutePath().normalize());
    }

    private static void tellMissing(GradeTable graded, PrintWriter console) {
        for (GradeTable.Handing handing : GradeTable.Handing.values()) {
            List<String> who = graded.lines().stream().filter(line -> line.handing() == handing).map(GradeTable.Line::who).toList();
            if (handing != GradeTable.Handing.ONCE && !who.isEmpty()) {
                console.println("  " + handing.words() + ": " + who.size() + " (" + listed(who) + ")");
            }
        }
    }

    private static String listed(List<String> names) {
        return names.stream().limit(TOLD).collect(Collectors.joining(", ")) + (names.size() > TOLD ? ", …" : "");
    }

    private static void tellLeftOut(List<String> names, PrintWriter console) {
        if (!names.isEmpty()) {
            console.println("  left out, since they are hidden or of another kind: " + names.size() + " (" + listed(names) + ")");
        }
    }

    private static int exitCode(boolean isAllRight) {
        return isAllRight ? 0 : Pixeron.DIFFERS;
    }

    private static boolean isAllRight(Marked marked) {
        return marked.isMarked() && marked.agree() == marked.filled();
    }

    /**
     * Earlier results are often in the same folder as the answers. They are not answers, and are replaced only if the user asks for it. Nothing else
     * that is read is ever written.
     */
    private List<Handed> answers(List<Handed> handed) {
        List<Path> targets = ResultsFile.targets(out.value());
        List<Handed> left = new ArrayList<>();
        for (Handed one : handed) {
            if (grades.isGiven() && SafeFile.isSame(grades.value(), one.file())) {
                throw PixeronException.of("%s is one of the answers. Give the grades another name.", one.file());
            } else if (targets.stream().noneMatch(target -> SafeFile.isSame(target, one.file()))) {
                left.add(one);
            } else {
                AmongAnswers.requireReplaceable(one.file(), ResultsFile.isResults(one.file()), isReplacing.value());
            }
        }
        return left;
    }

    private String feedbackFormat() {
        return Optional.ofNullable(feedbackFormat.value()).orElse(PDF);
    }

    private void requireFeedbackFormat() {
        if (!feedback.isGiven() && feedbackFormat.isGiven()) {
            throw PixeronException.of("--feedback-format needs --feedback FOLDER.");
        } else if (!FEEDBACK_FORMATS.contains(feedbackFormat())) {
            throw PixeronException.of("\"%s\" is not a valid feedback format. Use %s.", feedbackFormat(), String.join(" or ", FEEDBACK_FORMATS));
        } else if (feedback.isGiven() && reports.isGiven() && isSamePlace(feedback.value(), reports.value())) {
            throw PixeronException.of("The reports and the feedback cannot have the same folder, %s.", feedback.value());
        }
    }

    /** Writes a file for each answer that is marked; returns the same answers, with a note where a file could not be written. */
    private List<Marked> reported(List<Marked> marks, Path folder, String ending, Function<Marked, Report> maker) {
        ReportFolder files = new ReportFolder(marks, folder, ending);
        files.taken().filter(file -> !isReplacing.value()).ifPresent(file -> {
            throw PixeronException.of("%s already exists. Add --replace, or choose another folder.", file);
        });
        NewFolder.make(folder);
        return files.write(maker, Progress.NONE);
    }

    private int stream(Marker marker) {
        if (out.isGiven() || reports.isGiven() || feedback.isGiven() || grades.isGiven()) {
            throw PixeronException.of("No answers given. File names from standard input cannot be combined with --out, --reports, --feedback or --grades.");
        }
        PrintWriter console = syntax.out();
        ClassTable table = new ClassTable(List.of(), marker.partTitles(), !followIsWrong.value());
        boolean isAllRight = true;
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))) {
            console.print(ResultTable.text(List.of(table.head())));
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                if (!line.isBlank()) {
                    for (Marked marked : marks(marker, line.strip())) {
                        console.print(ResultTable.text(List.of(table.row(marked))));
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

    /** A line that is no name of a file is a row as well. */
    private static List<Marked> marks(Marker marker, String line) {
        try {
            return marker.marks(Path.of(line));
        } catch (InvalidPathException noName) {
            return List.of(Marked.unreadable(line, "This is not a valid file name."));
        }
    }
}
