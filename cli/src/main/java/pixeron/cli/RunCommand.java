package pixeron.cli;

import java.nio.file.Path;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.Outcome;
import pixeron.chain.Stage;
import pixeron.format.ImageFiles;
import pixeron.format.LossyNote;
import pixeron.image.ColourImage;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.step.Progress;

/** {@code pixeron run IMAGE --step LINE… --out FILE}: the last result, format by the ending. */
final class RunCommand implements Runnable {

    private final Syntax syntax;
    private final OneImage image;
    private final StepLines steps;
    private final FaceChoice face;
    private final Argument<Path> out;
    private final Argument<Boolean> isExact;

    RunCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("Writes the result of the last step.");
        image = new OneImage(syntax);
        steps = new StepLines(syntax);
        face = new FaceChoice(syntax);
        out = syntax.required("--out", "FILE", Path.class, "Format by the ending: .png, .tif, .bmp, .gif, .pgm, .ppm, .pam, .csv, .tsv, .txt, .xlsx, lossy .jpg.");
        isExact = syntax.flag("--exact", "Write fractions into a table instead of decimals.");
    }

    private void askPatience(Stage stage) {
        if (stage.before(Progress.NONE) instanceof Outcome.Done before) {
            stage.link().step().type().patience(before.result().frame()).ifPresent(words -> syntax.err().println("pixeron: " + words));
        }
    }

    @Override
    public void run() {
        ImageFiles.requireWritable(out.value(), isExact.value());
        Chain chain = steps.chain(image.chain(), image.input());
        chain.stages().forEach(this::askPatience);
        Result last = chain.last(Progress.NONE).required();
        boolean isTable = ImageFiles.isTable(out.value());
        if (isTable) {
            face.requireOf(last, "a table of numbers holds one face");
        }
        // As a picture the logarithm is drawn from black to white.
        boolean isDrawn = !isTable && last instanceof Spectrum && face.name().orElse(SpectrumFace.LOG.word()).equals(SpectrumFace.LOG.word());
        Result result = isDrawn ? ((Spectrum) last).picture() : face.chosen(last);
        if (result instanceof ColourImage && isTable) {
            throw PixeronException.of("The result is a colour image, and a table of numbers holds one channel; add --face red, green, "
                    + "blue or alpha.");
        }
        ImageFiles.write(out.value(), result, isExact.value());
        for (Stage stage : chain.stages()) {
            stage.bound(Progress.NONE).ifPresent(bound -> bound.notes().forEach(note ->
                    syntax.err().printf("pixeron: Step %d: %s%n", stage.position() + 1, note)));
        }
        if (ImageFiles.isLossy(out.value())) {
            syntax.err().println("pixeron: " + LossyNote.of(out.value(), result));
        }
    }
}
