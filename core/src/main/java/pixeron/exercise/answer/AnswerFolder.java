package pixeron.exercise.answer;

import java.io.IOException;
import java.nio.file.FileVisitOption;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import pixeron.Harmless;
import pixeron.PixeronException;

/**
 * The files of a class, wherever they lie: what can be an answer, each with a name that no other has, and what was left out.
 *
 * @param handed what can be an answer, and what could not be looked into
 * @param leftOut hidden files and files of other kinds, by the names they have in their folder
 */
public record AnswerFolder(List<Handed> handed, List<String> leftOut) {

    private static final String ENDINGS = ".*(\\.(csv|tsv|txt|xlsx|ods|png|pgm|pbm|tif|tiff|bmp|gif)|\\.pixeron\\.json)";
    /** Deeper than any class is sorted; a folder that holds itself by a link ends here as well. */
    private static final int DEEPEST = 32;

    public AnswerFolder {
        handed = List.copyOf(handed);
        leftOut = List.copyOf(leftOut);
    }

    /**
     * Finds the answers.
     *
     * @param paths files, and folders whose files are taken with those of the folders in them, in the order of their names
     * @throws PixeronException if a path is not there
     */
    public static AnswerFolder of(List<Path> paths) {
        List<Handed> handed = new ArrayList<>();
        List<String> leftOut = new ArrayList<>();
        for (Path path : paths) {
            if (Files.isDirectory(path)) {
                walk(path, handed, leftOut);
            } else if (Files.exists(path)) {
                handed.add(Handed.of(path));
            } else {
                throw PixeronException.of("There is no file or folder %s.", path);
            }
        }
        return new AnswerFolder(named(handed), leftOut);
    }

    private static void walk(Path folder, List<Handed> handed, List<String> leftOut) {
        List<Handed> found = new ArrayList<>();
        try {
            Files.walkFileTree(folder, EnumSet.of(FileVisitOption.FOLLOW_LINKS), DEEPEST, new SimpleFileVisitor<>() {
                @Override
                public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) {
                    if (isAnswer(file.getFileName().toString())) {
                        found.add(handed(folder, file, attributes.isRegularFile() ? "" : "It is not a regular file."));
                    } else {
                        leftOut.add(source(folder, file));
                    }
                    return FileVisitResult.CONTINUE;
                }

                @Override
                public FileVisitResult visitFileFailed(Path file, IOException why) {
                    found.add(handed(folder, file, "Cannot open this folder. Check its permissions."));
                    return FileVisitResult.CONTINUE;
                }
            });
        } catch (IOException unreadable) {
            throw PixeronException.because(unreadable, "Cannot read %s: %s.", folder, unreadable.getMessage());
        }
        found.sort(Comparator.comparing(Handed::file));
        handed.addAll(found);
    }

    /** A name that begins with a point hides a file; one of nothing but points and an ending was meant to be seen. */
    private static boolean isAnswer(String name) {
        boolean isHidden = name.startsWith(".") && !name.startsWith("..");
        return !isHidden && name.toLowerCase(Locale.ROOT).matches("(?s)" + ENDINGS);
    }

    private static Handed handed(Path folder, Path file, String problem) {
        return new Handed(file, source(folder, file), AnswerReader.person(file.getFileName().toString()), problem);
    }

    private static String source(Path folder, Path file) {
        String inside = folder.relativize(file).toString().replace('\\', '/');
        return Harmless.shown(inside.isEmpty() ? String.valueOf(file.getFileName()) : inside);
    }

    /** Files that are called alike are distinguished by their folders, and so are the people. */
    private static List<Handed> named(List<Handed> all) {
        Map<String, Long> sources = all.stream().collect(Collectors.groupingBy(Handed::source, Collectors.counting()));
        Set<String> alike = all.stream().collect(Collectors.groupingBy(one -> String.valueOf(one.file().getFileName()), Collectors.counting())).entrySet().stream()
                .filter(name -> name.getValue() > 1).map(Map.Entry::getKey).collect(Collectors.toSet());
        return all.stream().map(one -> {
            Handed told = sources.get(one.source()) > 1 ? one.called(one.file().toString().replace('\\', '/')) : one;
            Path folder = one.file().toAbsolutePath().normalize().getParent();
            boolean isTold = alike.contains(String.valueOf(one.file().getFileName())) && folder != null && folder.getFileName() != null;
            return isTold ? told.of(AnswerReader.person(folder.getFileName().toString())) : told;
        }).toList();
    }
}
