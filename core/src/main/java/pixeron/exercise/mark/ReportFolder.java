package pixeron.exercise.mark;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.report.Report;
import pixeron.report.ReportFile;
import pixeron.step.Progress;

/** A file for each answer that could be marked, all in one folder. No two have the same name. */
public final class ReportFolder {

    private final List<Marked> marks;
    private final Path folder;
    private final List<String> names;

    /**
     * Chooses the kind of file of each report.
     *
     * @param ending of the files: .pdf or .html
     */
    public ReportFolder(List<Marked> marks, Path folder, String ending) {
        this.marks = List.copyOf(marks);
        this.folder = folder;
        this.names = ReportNames.of(marks.stream().map(Marked::source).toList(), ending);
    }

    /** Returns the first file that would be replaced; empty if there is none. */
    public Optional<Path> taken() {
        return IntStream.range(0, names.size()).filter(n -> marks.get(n).isMarked()).mapToObj(this::file).filter(Files::exists).findFirst();
    }

    private Path file(int n) {
        return folder.resolve(names.get(n));
    }

    /**
     * Writes the files; those that are there are replaced.
     *
     * @param maker of what is in a file
     * @return the same answers; where a file could not be written, that is noted
     * @throws CancellationException when progress says that they are no longer wanted
     */
    public List<Marked> write(Function<Marked, Report> maker, Progress progress) {
        AtomicInteger done = new AtomicInteger();
        return IntStream.range(0, names.size()).parallel().mapToObj(n -> {
            progress.report((double) done.getAndIncrement() / names.size());
            return written(n, maker, progress);
        }).toList();
    }

    private Marked written(int n, Function<Marked, Report> maker, Progress progress) {
        Marked marked = marks.get(n);
        try {
            if (marked.isMarked()) {
                ReportFile.write(file(n), maker.apply(marked));
            }
            return marked;
        } catch (CancellationException stopped) {
            // Nobody wants the files any more, or this one alone takes too long.
            progress.report(1);
            return marked.noting(names.get(n) + " is missing because making it takes too long.");
        } catch (RuntimeException | Error broken) {
            return marked.noting(names.get(n) + " is missing: " + PixeronException.words(broken));
        }
    }
}
