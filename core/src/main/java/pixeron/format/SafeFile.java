package pixeron.format;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import pixeron.PixeronException;

/** Writes a file beside its target and then moves it there: the old file stays until the new one is whole. */
public final class SafeFile {

    /** What is written. */
    @FunctionalInterface
    public interface Content {
        void writeTo(OutputStream out) throws IOException;
    }

    private static final String UNFINISHED = ".part";
    /** A point, a name of 36 letters, and the ending. */
    private static final int ADDED = 37 + UNFINISHED.length();
    private static final int LONGEST_NAME = 255;

    private SafeFile() {
    }

    /** Returns whether a file is one that was being written when its program was stopped, or is being written now. */
    public static boolean isUnfinished(Path file) {
        String name = file.getFileName().toString();
        return name.startsWith(".") && name.endsWith(UNFINISHED) && name.length() > ADDED + 1;
    }

    /** Returns what an {@linkplain #isUnfinished unfinished} file was to become. */
    public static Path target(Path unfinished) {
        String name = unfinished.getFileName().toString();
        return unfinished.resolveSibling(name.substring(1, name.length() - ADDED));
    }

    /**
     * Writes a file.
     *
     * @param target the file to make or replace
     * @param content writes the whole file
     * @throws PixeronException if the folder is missing, the target is a folder or read-only, or the disk is full
     */
    public static void write(Path target, Content content) {
        requireTarget(target);
        Path beside = null;
        try {
            Path real = Files.exists(target) ? target.toRealPath() : target.toAbsolutePath();
            beside = real.resolveSibling("." + shortened(real.getFileName().toString()) + "." + name() + UNFINISHED);
            try (OutputStream out = new BufferedOutputStream(
                    Files.newOutputStream(beside, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE), 1 << 16)) {
                FileRights.carry(real, beside);
                content.writeTo(out);
            }
            move(beside, real);
        } catch (AccessDeniedException denied) {
            throw PixeronException.because(denied, "No permission to write %s. Check the permissions of its folder.",
                    target);
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "Cannot write %s: %s.", target, reason(trouble));
        } finally {
            deleteLeftover(beside);
        }
    }

    /** No name of a file has more than 255 bytes, and this one gets longer: of a name near that, what is left to be found again is its beginning. */
    private static String shortened(String name) {
        String start = name;
        while (start.getBytes(StandardCharsets.UTF_8).length > LONGEST_NAME - ADDED - 1) {
            start = start.substring(0, start.length() - (Character.isLowSurrogate(start.charAt(start.length() - 1)) ? 2 : 1));
        }
        return start;
    }

    /** Nobody else's name; it need not be a secret, and what makes secrets would take longer to begin than a small file to write. */
    private static UUID name() {
        ThreadLocalRandom random = ThreadLocalRandom.current();
        return new UUID(random.nextLong(), random.nextLong());
    }

    /** Encoders of pictures say only that something went wrong; what did is behind, such as that the disk is full. */
    private static String reason(IOException trouble) {
        Throwable first = trouble;
        while (first.getCause() instanceof IOException deeper) {
            first = deeper;
        }
        return first instanceof FileSystemException place && place.getReason() != null ? place.getReason() : first.getMessage();
    }

    /** Returns whether two paths lead to one file that is there, also by links. */
    public static boolean isSame(Path one, Path other) {
        try {
            return Files.exists(one) && Files.exists(other) && Files.isSameFile(one, other);
        } catch (IOException unknown) {
            return one.toAbsolutePath().normalize().equals(other.toAbsolutePath().normalize());
        }
    }

    /**
     * Checks that a file can be written.
     *
     * @throws PixeronException if target cannot be written for a reason that is known beforehand
     */
    public static void requireTarget(Path target) {
        Path folder = target.toAbsolutePath().getParent();
        if (Files.isDirectory(target)) {
            throw PixeronException.of("%s is a folder. Choose a file.", target);
        } else if (folder == null || !Files.isDirectory(folder)) {
            throw PixeronException.of("There is no folder %s for \"%s\".", folder, target.getFileName());
        } else if (Files.exists(target) && !Files.isWritable(target)) {
            throw PixeronException.of("%s is read-only. Choose another name.", target);
        }
    }

    private static void move(Path from, Path to) throws IOException {
        try {
            Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (AtomicMoveNotSupportedException notHere) {
            Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
        }
    }

    private static void deleteLeftover(Path beside) {
        try {
            if (beside != null) {
                Files.deleteIfExists(beside);
            }
        } catch (IOException alreadyFailing) {
            // The error that left the file here is the one the user must see.
        }
    }
}
