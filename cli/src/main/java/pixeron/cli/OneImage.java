package pixeron.cli;

import java.nio.file.Path;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;
import pixeron.format.LoadedImage;

/** The image of a command that takes one. */
final class OneImage {

    @Parameters(paramLabel = "IMAGE", description = "PNG, PGM or a table of numbers.")
    private Path file;

    @Mixin
    private ImageInput input;

    LoadedImage read() {
        return input.read(file);
    }
}
