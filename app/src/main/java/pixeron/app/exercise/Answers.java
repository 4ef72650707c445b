package pixeron.app.exercise;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.exercise.Code;
import pixeron.exercise.Exercise;
import pixeron.exercise.Variants;
import pixeron.exercise.answer.AnswerReader;
import pixeron.exercise.answer.Received;
import pixeron.exercise.mark.ClassTable;
import pixeron.exercise.mark.Marked;
import pixeron.exercise.mark.Marker;
import pixeron.report.ReportFile;
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
record Answers(Marker marker, Exercise exercise, List<Entry> entries, boolean followCounts) {

    /**
     * An answer.
     *
     * @param received what came in; empty where the file could not be read
     * @param marked what is said of it
     */
    record Entry(Optional<Received> received, Marked marked) {
    }

    Answers {
        entries = List.copyOf(entries);
    }

    static Answers of(Exercise exercise) {
        return new Answers(new Marker(new Variants(exercise)), exercise, List.of(), true);
    }

    /** @return this with other entries, of which it is noted anew which have the same code */
    private Answers noted(List<Entry> changed) {
        List<Marked> noted = Marker.notingSame(changed.stream().map(entry -> entry.marked().withoutNote()).toList());
        return new Answers(marker, exercise, IntStream.range(0, changed.size()).mapToObj(n -> new Entry(changed.get(n).received(), noted.get(n))).toList(), followCounts);
    }

    /**
     * @return the answers in some files and folders, marked; one that cannot be read has its reason
     * @throws PixeronException if there are none
     */
    List<Entry> read(List<Path> paths, Progress progress) {
        List<Path> files = AnswerReader.files(paths);
        List<Entry> found = new ArrayList<>();
        for (int n = 0; n < files.size(); n++) {
            progress.report((double) n / files.size());
            found.addAll(read(files.get(n)));
        }
        if (found.isEmpty()) {
            throw PixeronException.of("There are no answers in %s: no table, spreadsheet, picture or project.", paths.get(0).getFileName());
        }
        return found;
    }

    /** @return this with more answers behind those that are there */
    Answers with(List<Entry> more) {
        return noted(Stream.concat(entries.stream(), more.stream()).toList());
    }

    private List<Entry> read(Path file) {
        try {
            return AnswerReader.read(file).stream().map(received -> new Entry(Optional.of(received), marker.mark(received))).toList();
        } catch (PixeronException unreadable) {
            return List.of(new Entry(Optional.empty(), Marker.unreadable(file, unreadable)));
        }
    }

    private Answers replaced(int place, Entry entry) {
        List<Entry> changed = new ArrayList<>(entries);
        changed.set(place, entry);
        return noted(changed);
    }

    /**
     * @param code that the instructor says an answer has
     * @return this with that answer marked anew
     * @throws PixeronException if it is no code
     */
    Answers withCode(int place, String code) {
        Code said = Code.all(code).stream().findFirst().orElseThrow(() -> PixeronException.of("\"%s\" is no code; right is such as K3F7-012.", code));
        Received before = entries.get(place).received().orElseThrow(() -> PixeronException.of("This file could not be read; a code does not help."));
        Received coded = new Received(before.source(), before.name(), List.of(said), before.content());
        return replaced(place, new Entry(Optional.of(coded), marker.mark(coded).commented(entries.get(place).marked().comment())));
    }

    Answers withComment(int place, String comment) {
        return replaced(place, new Entry(entries.get(place).received(), entries.get(place).marked().commented(comment)));
    }

    Answers counting(boolean follow) {
        return new Answers(marker, exercise, entries, follow);
    }

    ClassTable table() {
        return new ClassTable(entries.stream().map(Entry::marked).toList(), marker.partTitles(), followCounts);
    }

    /** Writes a report for each answer that could be marked. */
    int writeReports(Path folder, Progress progress) {
        int written = 0;
        for (int n = 0; n < entries.size(); n++) {
            progress.report((double) n / entries.size());
            Marked marked = entries.get(n).marked();
            if (marked.isMarked()) {
                String name = ClassTable.who(marked).replaceAll("[^\\p{L}\\p{N} ._-]", "_");
                Path file = folder.resolve(name + ".pdf");
                // Two people of one name do not lose a report.
                ReportFile.write(Files.exists(file) ? folder.resolve(name + " " + marked.code().map(Code::toString).orElse("") + " " + (n + 1) + ".pdf") : file,
                        ReportMaker.of(marked.work().orElseThrow(), progress));
                written++;
            }
        }
        return written;
    }
}
