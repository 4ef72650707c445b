package pixeron.cli;

import java.nio.file.Path;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
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
@Command(name = "run", mixinStandardHelpOptions = true, description = "Writes the result of the last step.")
final class RunCommand implements Runnable {

    @Spec
    private CommandSpec spec;

    @Mixin
    private OneImage image;

    @Mixin
    private StepLines steps;

    @Mixin
    private FaceChoice face;

    @Option(names = "--out", paramLabel = "FILE", required = true,
            description = "Format by the ending: .png, .tif, .bmp, .gif, .pgm, .ppm, .pam, .csv, .tsv, .txt, .xlsx, lossy .jpg.")
    private Path out;

    @Option(names = "--exact", description = "Write fractions into a table instead of decimals.")
    private boolean isExact;

    private void askPatience(Stage stage) {
        if (stage.before(Progress.NONE) instanceof Outcome.Done before) {
            stage.link().step().type().patience(before.result().frame()).ifPresent(words -> spec.commandLine().getErr().println("pixeron: " + words));
        }
    }

    @Override
    public void run() {
        ImageFiles.requireWritable(out, isExact);
        Chain chain = steps.chain(image.chain(), image.input());
        chain.stages().forEach(this::askPatience);
        Result last = chain.last(Progress.NONE).required();
        boolean isTable = ImageFiles.isTable(out);
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
        ImageFiles.write(out, result, isExact);
        for (Stage stage : chain.stages()) {
            stage.bound(Progress.NONE).ifPresent(bound -> bound.notes().forEach(note ->
                    spec.commandLine().getErr().printf("pixeron: Step %d: %s%n", stage.position() + 1, note)));
        }
        if (ImageFiles.isLossy(out)) {
            spec.commandLine().getErr().println("pixeron: " + LossyNote.of(out, result));
        }
    }
}
