package pixeron.cli;

import java.nio.file.Path;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import pixeron.format.ImageFiles;
import pixeron.make.Makers;

/** {@code pixeron new LINE --out FILE}: a new image made by a line of text. */
@Command(name = "new", mixinStandardHelpOptions = true, description = "Makes a new image.")
final class NewCommand implements Runnable {

    @Parameters(paramLabel = "LINE", description =
            "Such as \"gradient rows=8 columns=8 maximum=7\"; \"steps\" lists all.")
    private String line;

    @Option(names = "--out", paramLabel = "FILE", required = true, description =
            "Where to write; format by the ending.")
    private Path out;

    @Override
    public void run() {
        ImageFiles.requireWritable(out, false);
        ImageFiles.write(out, Makers.make(line), false);
    }
}
