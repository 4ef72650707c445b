package pixeron.app.exercise;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.exercise.Code;
import pixeron.exercise.Exercise;
import pixeron.exercise.Variants;
import pixeron.exercise.answer.AnswerFolder;
import pixeron.exercise.answer.Handed;
import pixeron.exercise.answer.Received;
import pixeron.exercise.mark.ClassTable;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.Marker;
import pixeron.exercise.mark.ReportFolder;
import pixeron.report.Report;
import pixeron.report.ReportMaker;
import pixeron.step.Progress;

/**
 * The answers of a class to one exercise, as far as they are marked. Immutable.
 *
 * @param marker of the exercise
 * @param exercise that they answer
 * @param entries of all answers, in the order in which they came
 * @param followCounts whether a value that follows from an earlier mistake counts as right
 */
record Answers(Marker marker, Exercise exercise, List<Marker.Answer> entries, boolean followCounts) {

    Answers {
        entries = List.copyOf(entries);
    }

    static Answers of(Exercise exercise) {
        return new Answers(new Marker(new Variants(exercise)), exercise, List.of(), true);
    }

    /** Returns this with other entries, of which it is noted anew which have the same code. */
    private Answers noted(List<Marker.Answer> changed) {
        List<Marked> noted = Marker.notingSame(changed.stream().map(entry -> entry.marked().withoutNote()).toList());
        return new Answers(marker, exercise, IntStream.range(0, changed.size()).mapToObj(n -> new Marker.Answer(changed.get(n).received(), noted.get(n))).toList(), followCounts);
    }

    /**
     * Answers that were read.
     *
     * @param entries each marked, or with the reason why it is not
     * @param leftOut the names of files that are hidden or of other kinds
     */
    record Added(List<Marker.Answer> entries, List<String> leftOut) {
    }

    /**
     * Returns the answers in some files and folders, marked; one that cannot be read has its reason.
     *
     * @throws PixeronException if there are none
     */
    Added read(List<Path> paths, Progress progress) {
        AnswerFolder folder = AnswerFolder.of(paths);
        List<Handed> files = folder.handed();
        List<Marker.Answer> found = new ArrayList<>();
        for (int n = 0; n < files.size(); n++) {
            progress.report((double) n / files.size());
            found.addAll(marker.answers(files.get(n)));
        }
        if (found.isEmpty()) {
            throw PixeronException.of("No answers found in %s: there is no table, spreadsheet, picture or project.", paths.get(0).getFileName());
        }
        return new Added(found, folder.leftOut());
    }

    /** Returns this with more answers behind those that are there. */
    Answers with(List<Marker.Answer> more) {
        return noted(Stream.concat(entries.stream(), more.stream()).toList());
    }

    private Answers replaced(int place, Marker.Answer entry) {
        List<Marker.Answer> changed = new ArrayList<>(entries);
        changed.set(place, entry);
        return noted(changed);
    }

    /**
     * Returns this with that answer marked anew.
     *
     * @param code that the instructor says an answer has
     * @throws PixeronException if it is no code
     */
    Answers withCode(int place, String code) {
        Code said = Code.all(code).stream().findFirst().orElseThrow(() -> PixeronException.of("“%s” is not a valid code. Use the form K3F7-012.", code));
        Received before = entries.get(place).received().orElseThrow(() -> PixeronException.of("Pixeron could not read this file. A code does not help."));
        Received coded = new Received(before.source(), before.name(), List.of(said), before.content());
        return replaced(place, new Marker.Answer(Optional.of(coded), marker.mark(coded).commented(entries.get(place).marked().comment())));
    }

    Answers withComment(int place, String comment) {
        return replaced(place, new Marker.Answer(entries.get(place).received(), entries.get(place).marked().commented(comment)));
    }

    Answers counting(boolean follow) {
        return new Answers(marker, exercise, entries, follow);
    }

    ClassTable table() {
        return new ClassTable(entries.stream().map(Marker.Answer::marked).toList(), marker.partTitles(), followCounts);
    }

    /** What each person gets back: at most two pages. */
    int writeFeedback(Path folder, Progress progress) {
        return write(folder, marked -> marker.feedback(marked, followCounts), progress);
    }

    /** The whole work of each person, with all workings. */
    int writeReports(Path folder, Progress progress) {
        return write(folder, marked -> ReportMaker.of(marked.work().orElseThrow(), progress), progress);
    }

    /**
     * Writes a file for each answer that could be marked.
     *
     * @return how many were written
     * @throws PixeronException if a file of one of the names is there already
     */
    private int write(Path folder, Function<Marked, Report> maker, Progress progress) {
        List<Marked> marks = entries.stream().map(Marker.Answer::marked).filter(Marked::isMarked).toList();
        ReportFolder files = new ReportFolder(marks, folder, ".pdf");
        files.taken().ifPresent(file -> {
            throw PixeronException.of("%s already exists. Choose another folder.", file);
        });
        List<Marked> written = files.write(maker, progress);
        return (int) IntStream.range(0, marks.size()).filter(n -> written.get(n) == marks.get(n)).count();
    }
}
