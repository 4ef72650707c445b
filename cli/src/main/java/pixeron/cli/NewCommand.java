package pixeron.cli;

import java.nio.file.Path;
import pixeron.format.ImageFiles;
import pixeron.make.Makers;

/** {@code pixeron new LINE --out FILE}: a new image made by a line of text. */
final class NewCommand implements Runnable {

    private final Argument<String> line;
    private final Argument<Path> out;

    NewCommand(Syntax syntax) {
        syntax.describe("Create a new image.");
        line = syntax.next("LINE", String.class, "Kind of image with its parameters, such as \"gradient rows=8 columns=8 maximum=7\"; the command \"steps\" lists all kinds.");
        out = syntax.required("--out", "FILE", Path.class, "Output file; the ending sets the format.");
    }

    @Override
    public void run() {
        ImageFiles.requireWritable(out.value(), false);
        ImageFiles.write(out.value(), Makers.make(line.value()), false);
    }
}
