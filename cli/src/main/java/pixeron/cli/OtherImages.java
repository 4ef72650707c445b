package pixeron.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.step.Reference;
import pixeron.step.Step;

/** Other images that steps name: by the names that the command gives them, else by their paths. */
final class OtherImages {

    private final Argument<List<String>> given;

    OtherImages(Syntax syntax) {
        given = syntax.repeated("--image", "NAME=FILE", "Another image and its name, as used in with=NAME; repeat for several.");
    }

    /**
     * Returns the images that have a name.
     *
     * @param reader reads a file
     */
    Map<String, Result> named(Function<Path, Result> reader) {
        Map<String, Result> images = new LinkedHashMap<>();
        for (String pair : given.value()) {
            int equals = pair.indexOf('=');
            if (equals < 1 || equals == pair.length() - 1) {
                throw PixeronException.of("--image %s has no %s. Use NAME=FILE, such as --image second=second.png.", Decimals.shortened(pair),
                        equals == pair.length() - 1 && equals > 0 ? "file" : "name");
            }
            String name = Reference.requireName(pair.substring(0, equals));
            if (images.put(name, reader.apply(Path.of(pair.substring(equals + 1)))) != null) {
                throw PixeronException.of("--image uses the name %s twice. Give each image its own name.", name);
            }
        }
        return images;
    }

    /** Returns the chain with its other images, and those that the step calls by a path. */
    static Chain withPaths(Chain chain, Step step, Function<Path, Result> reader) {
        Map<String, Chain> images = new LinkedHashMap<>(chain.others());
        for (String reference : step.references()) {
            boolean isPath = !reference.equals(Reference.SELF) && Reference.step(reference).isEmpty() && !Decimals.isNumber(reference);
            if (isPath && !images.containsKey(Reference.other(reference).image())
                    && (!Reference.isName(Reference.other(reference).image()) || Files.exists(Path.of(reference)))) {
                images.put(reference, Chain.of(reader.apply(Path.of(reference))));
            }
        }
        return chain.withOthers(images);
    }
}
