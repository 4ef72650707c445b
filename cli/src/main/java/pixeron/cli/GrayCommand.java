package pixeron.cli;

import java.nio.file.Path;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.step.Progress;

/** {@code pixeron gray IMAGE --rule … --out FILE}: a colour picture as a gray image. */
final class GrayCommand implements Runnable {

    private final Argument<Path> file;
    private final ImageInput input;
    private final Argument<String> rule;
    private final Argument<Path> out;

    GrayCommand(Syntax syntax) {
        syntax.describe("Makes gray of a colour picture.");
        file = syntax.next("IMAGE", Path.class, "A colour picture: PNG, JPEG, BMP, GIF, TIFF, PPM or PAM.");
        input = new ImageInput(syntax);
        rule = syntax.required("--rule", "RULE", String.class, "mean, luma-601, luma-709, lightness, maximum, red, green, blue, alpha, or \"weights a b c\".");
        out = syntax.required("--out", "FILE", Path.class, "Where to write; format by the ending.");
    }

    @Override
    public void run() {
        ImageFiles.requireWritable(out.value(), false);
        LoadedImage loaded = input.readAsItIs(file.value());
        if (loaded.colour().isEmpty()) {
            throw PixeronException.of("%s: The picture is gray already; \"run\" copies it.", file.value().getFileName());
        }
        ImageFiles.write(out.value(), input.gray(Chain.of(loaded.result()), rule.value()).last(Progress.NONE).required(), false);
    }
}
