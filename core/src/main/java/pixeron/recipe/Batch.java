package pixeron.recipe;

import java.io.IOException;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.PathMatcher;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.format.ImageFiles;
import pixeron.image.Frame;

/**
 * Many image files and the file that is made of each. Which those are is known, and refused where two would have one name, before anything is
 * written.
 */
public final class Batch {

    private static final String USUAL_ENDING = "png";

    /**
     * One file of many.
     *
     * @param file what is read
     * @param out what is written
     */
    public record Item(Path file, Path out) {
    }

    /**
     * What became of one file.
     *
     * @param size of the result; empty where there is none
     * @param problem why nothing was written, in one line; empty where something was
     */
    public record Done(Item item, Optional<Frame> size, Optional<String> problem) {
    }

    private final List<Item> items;
    private final boolean isReplacing;

    private Batch(List<Item> items, boolean isReplacing) {
        this.items = List.copyOf(items);
        this.isReplacing = isReplacing;
    }

    /**
     * Plans what is written.
     *
     * @param given files, folders (all images in them and below), and patterns for the last part of a path such as {@code proofs/*.png}
     * @param folder where results go: under the name of their file, and below a folder that was given under the same path
     * @param ending of the results, without a point; empty: that of each file, or png where that cannot be written
     * @param isReplacing whether files that exist already are replaced
     * @throws PixeronException if there is no such file, two results would have one name, or a result would replace a file that is read
     */
    public static Batch plan(List<Path> given, Path folder, Optional<String> ending, boolean isReplacing) {
        ending.ifPresent(word -> ImageFiles.requireWritable(Path.of("result." + word), false));
        List<Item> items = new ArrayList<>();
        for (Path path : given) {
            if (Files.isDirectory(path)) {
                below(path, folder).forEach(file -> items.add(item(file, folder.resolve(path.relativize(file)), ending)));
            } else {
                matching(path).forEach(file -> items.add(item(file, folder.resolve(file.getFileName()), ending)));
            }
        }
        requireApart(items);
        if (items.isEmpty()) {
            throw PixeronException.of("%s contains no pictures and no tables of numbers.", given.get(0));
        }
        return new Batch(items, isReplacing);
    }

    private static Item item(Path file, Path like, Optional<String> ending) {
        String name = like.getFileName().toString();
        int point = name.lastIndexOf('.');
        String own = point < 0 ? "" : name.substring(point + 1);
        String made = ending.orElseGet(() -> ImageFiles.isWritable(like) ? own : USUAL_ENDING);
        return new Item(file, like.resolveSibling((point < 0 ? name : name.substring(0, point)) + "." + made));
    }

    /** Results of an earlier run may lie in a folder that is given: they are not read again. */
    private static List<Path> below(Path folder, Path results) {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(file -> Files.isRegularFile(file) && !file.getFileName().toString().startsWith(".") && ImageFiles.isReadable(file)
                    && !file.toAbsolutePath().normalize().startsWith(results.toAbsolutePath().normalize())).sorted().toList();
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "Cannot read the folder %s. Check its permissions.", folder);
        }
    }

    private static List<Path> matching(Path path) {
        String pattern = path.getFileName() == null ? "" : path.getFileName().toString();
        if (Files.exists(path) || !pattern.matches(".*[*?\\[{].*")) {
            return List.of(path);
        }
        Path folder = path.getParent() == null ? Path.of("") : path.getParent();
        PathMatcher matcher = FileSystems.getDefault().getPathMatcher("glob:" + pattern);
        try (Stream<Path> all = Files.list(folder)) {
            List<Path> found = all.filter(file -> Files.isRegularFile(file) && matcher.matches(file.getFileName())).sorted().toList();
            if (found.isEmpty()) {
                throw PixeronException.of("No file name matches %s.", path);
            }
            return found;
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "Cannot read the folder of %s. Check its name.", path);
        }
    }

    private static void requireApart(List<Item> items) {
        Map<Path, Path> known = new HashMap<>();
        for (Item item : items) {
            Path same = known.put(item.out.toAbsolutePath().normalize(), item.file);
            if (same != null) {
                throw PixeronException.of("The results of %s and %s would have the same name, %s. Apply the steps to one of them at a time.", same, item.file, item.out);
            }
        }
        for (Item item : items) {
            if (known.containsKey(item.file.toAbsolutePath().normalize())) {
                throw PixeronException.of("The results would replace the input %s. Choose another folder for the results.", item.file);
            }
        }
    }

    /** Returns what is read and written, in the order in which it was given. */
    public List<Item> items() {
        return items;
    }

    /**
     * Does one file of many; whatever goes wrong with it is told of it and leaves the others alone.
     *
     * @param write reads the first path, writes the second and returns the size of what it wrote
     * @throws java.util.concurrent.CancellationException when the work is no longer wanted
     */
    public Done apply(Item item, BiFunction<Path, Path, Frame> write) {
        try {
            if (!isReplacing && Files.exists(item.out)) {
                throw PixeronException.of("%s already exists and was not replaced", item.out);
            }
            Files.createDirectories(item.out.toAbsolutePath().getParent());
            return new Done(item, Optional.of(write.apply(item.file, item.out)), Optional.empty());
        } catch (PixeronException problem) {
            return new Done(item, Optional.empty(), Optional.of(problem.getMessage()));
        } catch (IOException trouble) {
            return new Done(item, Optional.empty(), Optional.of("The folder of " + item.out + " cannot be created."));
        } catch (OutOfMemoryError full) {
            return new Done(item, Optional.empty(), Optional.of("There is not enough memory for this image."));
        }
    }
}
