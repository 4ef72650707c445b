package pixeron.cli;

import java.nio.file.Path;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;
import pixeron.chain.Chain;
import pixeron.format.LoadedImage;

/** The image of a command that takes one. */
final class OneImage {

    @Parameters(paramLabel = "IMAGE", description = "A picture or a table of numbers.")
    private Path file;

    @Mixin
    private ImageInput input;

    Path file() {
        return file;
    }

    /** @return how images are read */
    ImageInput input() {
        return input;
    }

    /** @return a chain on what the file holds, with a step gray in front where a gray rule is given */
    Chain chain() {
        return input.chain(file);
    }

    /** @return the image; a colour picture as it is unless a gray rule is given */
    LoadedImage readForFacts() {
        return input.readForFacts(file);
    }
}
