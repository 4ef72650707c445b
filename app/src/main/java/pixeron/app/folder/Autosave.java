package pixeron.app.folder;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;
import pixeron.PixeronException;
import pixeron.format.SafeFile;
import pixeron.project.ProjectFile;
import pixeron.project.SavedProject;

/**
 * Keeps unsaved work in a file of its own while it is changed, and finds what an earlier run left there after a crash.
 *
 * <p>A file is named after the process that writes it and the second in which that started, because numbers of
 * processes
 * come again. One whose process is gone was left behind.
 */
public final class Autosave {

    private static final String FOLDER = "autosave";

    private final UserFolder folder;
    private final Duration delay;
    private final ScheduledExecutorService writer;
    private final String mine = ProcessHandle.current().pid() + "-" + started(ProcessHandle.current())
            + ProjectFile.ENDING;
    private Future<?> pending;
    private Consumer<String> trouble = problem -> { };
    /** Whether the last work could not be written; who was told is not told again until it can. */
    private boolean isFailing;
    /** The newest work that is not written yet; null when there is none. */
    private SavedProject newest;

    /**
     * Creates an autosave that writes once the work has rested for the delay.
     *
     * @param folder where the files are
     * @param delay time from a change until the work is written, however many changes follow
     */
    public Autosave(UserFolder folder, Duration delay) {
        this(folder, delay, Executors.newSingleThreadScheduledExecutor(work -> {
            Thread thread = new Thread(work, "pixeron-autosave");
            thread.setDaemon(true);
            return thread;
        }));
    }

    /** @param writer writes later what is given to it now */
    Autosave(UserFolder folder, Duration delay, ScheduledExecutorService writer) {
        this.folder = folder;
        this.delay = delay;
        this.writer = writer;
    }

    /**
     * Sets who is notified of a failure.
     *
     * @param trouble is told in one line, in a thread of its own and once, when work can no longer be kept
     */
    public void setTrouble(Consumer<String> trouble) {
        this.trouble = trouble;
    }

    /**
     * Writes the work soon. Changes that come before that are written with it: a user who never pauses loses no more than
     * what was changed within the delay.
     */
    public synchronized void keep(SavedProject work) {
        boolean isDue = newest != null;
        newest = work;
        if (!isDue) {
            pending = writer.schedule(this::writeNewest, delay.toMillis(), TimeUnit.MILLISECONDS);
        }
    }

    private void writeNewest() {
        SavedProject work;
        synchronized (this) {
            work = newest;
            newest = null;
        }
        if (work != null) {
            write(work);
        }
    }

    private void write(SavedProject work) {
        try {
            ProjectFile.write(folder.path(FOLDER + "/" + mine), work);
            isFailing = false;
        } catch (PixeronException notKept) {
            LoggerFactory.getLogger(Autosave.class).warn("autosave failed", notKept);
            if (!isFailing) {
                isFailing = true;
                trouble.accept(notKept.getMessage());
            }
        }
    }

    private void drop() {
        newest = null;
        if (pending != null) {
            pending.cancel(false);
        }
    }

    /** The work is saved or abandoned: nothing is to be recovered. */
    public synchronized void clear() {
        drop();
        pending = writer.submit(this::deleteMine);
    }

    private void deleteMine() {
        try {
            delete(folder.path(FOLDER + "/" + mine));
        } catch (PixeronException noFolder) {
            LoggerFactory.getLogger(Autosave.class).warn("nothing was saved", noFolder);
        }
    }

    /** Like {@link #clear}, done when this returns: for the end of the program. */
    public void clearNow() {
        clear();
        try {
            pending.get(2, TimeUnit.SECONDS);
        } catch (java.util.concurrent.ExecutionException | java.util.concurrent.TimeoutException stuck) {
            LoggerFactory.getLogger(Autosave.class).warn("autosaved work could not be removed", stuck);
        } catch (InterruptedException ending) {
            Thread.currentThread().interrupt();
        }
    }

    /**
     * Looks, and removes what a run that was stopped in the middle of writing left unfinished.
     *
     * @return files that runs left behind which are gone now, newest first
     */
    public List<Path> leftBehind() {
        try (Stream<Path> files = Files.list(folder.path(FOLDER + "/" + mine).getParent())) {
            List<Path> all = files.toList();
            all.stream().filter(file -> SafeFile.isUnfinished(file) && isOrphan(SafeFile.target(file))).forEach(Autosave::delete);
            return all.stream().filter(file -> file.toString().endsWith(ProjectFile.ENDING)).filter(Autosave::isOrphan)
                    .sorted(Comparator.comparing(Autosave::time).reversed()).toList();
        } catch (IOException | PixeronException unreadable) {
            LoggerFactory.getLogger(Autosave.class).warn("autosaved work could not be searched", unreadable);
            return List.of();
        }
    }

    private static boolean isOrphan(Path file) {
        String[] process = file.getFileName().toString().replace(ProjectFile.ENDING, "").split("-");
        return !process[0].matches("\\d{1,18}") || process.length != 2
                || ProcessHandle.of(Long.parseLong(process[0])).filter(p -> process[1].equals(started(p))).isEmpty();
    }

    private static String started(ProcessHandle process) {
        return process.info().startInstant().map(instant -> String.valueOf(instant.getEpochSecond())).orElse("0");
    }

    /** Returns when the file was written, in milliseconds since 1970; 0 when that is not known. */
    public static long time(Path file) {
        try {
            return Files.getLastModifiedTime(file).toMillis();
        } catch (IOException gone) {
            return 0;
        }
    }

    /** Work that was left behind is this run's from now on: its file is, until a newer one takes its place, so that there is always one. */
    public synchronized void adopt(Path leftBehind) {
        writer.submit(() -> {
            try {
                Files.move(leftBehind, folder.path(FOLDER + "/" + mine), StandardCopyOption.REPLACE_EXISTING);
            } catch (IOException | PixeronException stays) {
                LoggerFactory.getLogger(Autosave.class).warn("old autosaved work could not be moved", stays);
            }
        });
    }

    /** Removes a file that was left behind. */
    public void discard(Path leftBehind) {
        delete(leftBehind);
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException stays) {
            LoggerFactory.getLogger(Autosave.class).warn("autosaved work could not be removed", stays);
        }
    }
}
