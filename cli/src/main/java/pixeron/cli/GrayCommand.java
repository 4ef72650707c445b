package pixeron.cli;

import java.nio.file.Path;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.step.Progress;

/** {@code pixeron gray IMAGE --rule … --out FILE}: a colour picture as a gray image. */
@Command(name = "gray", mixinStandardHelpOptions = true, description = "Makes gray of a colour picture.")
final class GrayCommand implements Runnable {

    @Parameters(paramLabel = "IMAGE", description = "A colour picture: PNG, JPEG, BMP, GIF, TIFF, PPM or PAM.")
    private Path file;

    @Mixin
    private ImageInput input;

    @Option(names = "--rule", paramLabel = "RULE", required = true,
            description = "mean, luma-601, luma-709, lightness, maximum, red, green, blue, alpha, or \"weights a b c\".")
    private String rule;

    @Option(names = "--out", paramLabel = "FILE", required = true, description =
            "Where to write; format by the ending.")
    private Path out;

    @Override
    public void run() {
        ImageFiles.requireWritable(out, false);
        LoadedImage loaded = input.readAsItIs(file);
        if (loaded.colour().isEmpty()) {
            throw PixeronException.of("%s: The picture is gray already; \"run\" copies it.", file.getFileName());
        }
        ImageFiles.write(out, input.gray(Chain.of(loaded.result()), rule).last(Progress.NONE).required(), false);
    }
}
