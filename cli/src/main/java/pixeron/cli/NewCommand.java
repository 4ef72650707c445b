package pixeron.cli;

import java.nio.file.Path;
import pixeron.format.ImageFiles;
import pixeron.make.Makers;

/** {@code pixeron new LINE --out FILE}: a new image made by a line of text. */
final class NewCommand implements Runnable {

    private final Argument<String> line;
    private final Argument<Path> out;

    NewCommand(Syntax syntax) {
        syntax.describe("Makes a new image.");
        line = syntax.next("LINE", String.class, "Such as \"gradient rows=8 columns=8 maximum=7\"; \"steps\" lists all.");
        out = syntax.required("--out", "FILE", Path.class, "Where to write; format by the ending.");
    }

    @Override
    public void run() {
        ImageFiles.requireWritable(out.value(), false);
        ImageFiles.write(out.value(), Makers.make(line.value()), false);
    }
}
