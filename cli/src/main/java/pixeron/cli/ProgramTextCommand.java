package pixeron.cli;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.ChainPrograms;
import pixeron.format.SafeFile;
import pixeron.loop.ChainProgram;
import pixeron.step.Progress;

/** {@code pixeron program IMAGE --step LINE… --out FILE}: all steps as one program, in Python or Java by the ending. */
final class ProgramTextCommand implements Runnable {

    private final Syntax syntax;
    private final OneImage image;
    private final StepLines steps;
    private final Argument<Integer> upTo;
    private final Argument<Path> out;

    ProgramTextCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("Write all steps as one program that reads the image from a CSV file and writes the last result. Color images are read and written as packed pixels.");
        image = new OneImage(syntax);
        steps = new StepLines(syntax);
        upTo = syntax.option("--up-to", "K", Integer.class, "Stop after step K; default: the last step.");
        out = syntax.required("--out", "FILE", Path.class, "Output file: .py or .java.");
    }

    @Override
    public void run() {
        String file = out.value().getFileName().toString();
        String ending = file.substring(file.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
        if (!ending.equals("py") && !ending.equals("java")) {
            throw PixeronException.of("%s: use the ending .py (Python) or .java (Java).", file);
        }
        SafeFile.requireTarget(out.value());
        Chain chain = steps.chain(image.chain(), image.input());
        ChainProgram program = ChainPrograms.of(chain, file.substring(0, file.lastIndexOf('.')), upTo.isGiven() ? upTo.value() : chain.size(), Progress.NONE);
        String text = ending.equals("py") ? program.python() : program.java();
        SafeFile.write(out.value(), to -> to.write(text.getBytes(StandardCharsets.UTF_8)));
        syntax.out().println("Wrote " + out.value());
    }
}
