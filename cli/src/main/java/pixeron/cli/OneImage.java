package pixeron.cli;

import java.nio.file.Path;
import java.util.function.Function;
import pixeron.chain.Chain;
import pixeron.format.LoadedImage;

/** The image of a command that takes one. */
final class OneImage {

    private final Argument<Path> file;
    private final ImageInput input;

    OneImage(Syntax syntax) {
        this(syntax, ImageInput::new);
    }

    private OneImage(Syntax syntax, Function<Syntax, ImageInput> reader) {
        file = syntax.next("IMAGE", Path.class, "Picture or table of numbers.");
        input = reader.apply(syntax);
    }

    /** Returns the image of a command where --swap is about values by hand. */
    static OneImage withoutSwap(Syntax syntax) {
        return new OneImage(syntax, ImageInput::withoutSwap);
    }

    Path file() {
        return file.value();
    }

    /** Returns how images are read. */
    ImageInput input() {
        return input;
    }

    /** Returns a chain on what the file holds, with a step gray in front where a gray rule is given. */
    Chain chain() {
        return input.chain(file.value());
    }

    /** Returns a chain on what another file holds, read in the same way. */
    Chain chain(Path other) {
        return input.chain(other);
    }

    /** Returns the image; a color picture as it is unless a gray rule is given. */
    LoadedImage readForFacts() {
        return input.readForFacts(file.value());
    }
}
