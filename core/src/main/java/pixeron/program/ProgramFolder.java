package pixeron.program;

import java.io.IOException;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import pixeron.PixeronException;

/** The folder that a program runs in: whatever it does in there, its result is read and the folder is removed. */
final class ProgramFolder {

    private ProgramFolder() {
    }

    static Path make() {
        try {
            return Files.createTempDirectory("pixeron-program");
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "Cannot create a folder for the program: %s.", trouble.getMessage());
        }
    }

    /** Returns bytes of all files in a folder, as far as it can be looked into. */
    static long written(Path folder) {
        long[] bytes = new long[1];
        visit(folder, new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
                bytes[0] += attributes.size();
                return FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult visitFileFailed(Path file, IOException beingChanged) {
                return FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult postVisitDirectory(Path within, IOException beingChanged) {
                return FileVisitResult.CONTINUE;
            }
        });
        return bytes[0];
    }

    /** Removes a folder with all that is in it; what the program made unreadable is opened first. */
    static void delete(Path folder) {
        visit(folder, new SimpleFileVisitor<>() {
            @Override
            public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) throws IOException {
                Files.deleteIfExists(file);
                return FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult visitFileFailed(Path file, IOException closed) {
                boolean isOpened = Files.isDirectory(file) && !Files.isReadable(file) && file.toFile().setReadable(true) && file.toFile().setExecutable(true) && file.toFile().setWritable(true);
                if (isOpened) {
                    delete(file);
                }
                return FileVisitResult.CONTINUE;
            }

            @Override
            public FileVisitResult postVisitDirectory(Path within, IOException trouble) throws IOException {
                Files.deleteIfExists(within);
                return FileVisitResult.CONTINUE;
            }
        });
    }

    private static void visit(Path folder, SimpleFileVisitor<Path> visitor) {
        try {
            Files.walkFileTree(folder, visitor);
        } catch (IOException leftToTheSystem) {
            // The system clears its folder for temporary files.
        }
    }
}
