package pixeron.cli;

import java.nio.file.Path;
import java.util.OptionalInt;
import picocli.CommandLine.Option;
import pixeron.PixeronException;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.ReadOptions;

/** What every command that reads an image takes. */
final class ImageInput {

    @Option(names = "--max", paramLabel = "M",
            description = "Maximum level, 1 to 65535, when the file does not say it.")
    private Integer maximum;

    @Option(names = "--open",
            description = "Read a table of any numbers as an open image (M = 255 unless --max says otherwise).")
    private boolean isOpen;

    @Option(names = "--gray", paramLabel = "mean",
            description = "Read a colour picture as gray: mean is (R + G + B) ÷ 3.")
    private String grayRule;

    LoadedImage read(Path file) {
        if (grayRule != null && !grayRule.equals("mean")) {
            throw PixeronException.of("--gray %s is unknown; the only rule so far is mean.", grayRule);
        }
        return ImageFiles.read(file, new ReadOptions(
                maximum == null ? OptionalInt.empty() : OptionalInt.of(maximum), isOpen, grayRule != null,
                ReadOptions.DEFAULT_PIXEL_LIMIT));
    }
}
