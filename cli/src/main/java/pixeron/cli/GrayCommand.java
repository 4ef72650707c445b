package pixeron.cli;

import java.nio.file.Path;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.step.Progress;

/** {@code pixeron gray IMAGE --rule … --out FILE}: a color picture as a gray image. */
final class GrayCommand implements Runnable {

    private final Argument<Path> file;
    private final ImageInput input;
    private final Argument<String> rule;
    private final Argument<Path> out;

    GrayCommand(Syntax syntax) {
        syntax.describe("Convert a color picture to gray.");
        file = syntax.next("IMAGE", Path.class, "Color picture: PNG, JPEG, BMP, GIF, TIFF, PPM or PAM.");
        input = new ImageInput(syntax);
        rule = syntax.required("--rule", "RULE", String.class, "mean, luma-601, luma-709, lightness, maximum, red, green, blue, alpha, or \"weights a b c\".");
        out = syntax.required("--out", "FILE", Path.class, "Output file; the ending sets the format.");
    }

    @Override
    public void run() {
        ImageFiles.requireWritable(out.value(), false);
        LoadedImage loaded = input.readAsItIs(file.value());
        if (loaded.color().isEmpty()) {
            throw PixeronException.of("%s: The picture is already gray. Use \"run\" to copy it.", file.value().getFileName());
        }
        ImageFiles.write(out.value(), input.gray(Chain.of(loaded.result()), rule.value()).last(Progress.NONE).required(), false);
    }
}
