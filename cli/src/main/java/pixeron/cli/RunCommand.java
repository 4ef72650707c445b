package pixeron.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.Outcome;
import pixeron.chain.Stage;
import pixeron.format.ImageFiles;
import pixeron.format.array.ArrayNotation;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.ModelImage;
import pixeron.image.Result;
import pixeron.recipe.Batch;
import pixeron.recipe.ResultFile;
import pixeron.step.Progress;

/** {@code pixeron run IMAGE… --step LINE… --out FILE}: the last result, format by the ending; of many images into a folder. */
final class RunCommand implements Callable<Integer> {

    private final Syntax syntax;
    private final OneImage image;
    private final Argument<List<Path>> more;
    private final StepLines steps;
    private final FaceChoice face;
    private final Argument<Path> out;
    private final Argument<Path> folder;
    private final Argument<String> format;
    private final Argument<Boolean> isReplacing;
    private final Argument<Boolean> isPacked;
    private final Argument<Boolean> isExact;
    private final Argument<String> as;

    RunCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("Write the result of the last step.");
        image = new OneImage(syntax);
        more = syntax.others("MORE", "With --out-folder: more images, folders of them, and patterns such as \"proofs/*.png\".");
        steps = new StepLines(syntax);
        face = new FaceChoice(syntax);
        out = syntax.option("--out", "FILE", Path.class, "Output file; the ending sets the format: .png, .tif, .bmp, .gif, .pgm, .ppm, .pam, .csv, .tsv, .txt, .xlsx, .npy, lossy .jpg.");
        folder = syntax.option("--out-folder", "FOLDER", Path.class, "Output folder for one or more images; created if missing. Results keep the names of their images.");
        format = syntax.option("--format", "ENDING", String.class, "With --out-folder: format of the results, such as png or csv; default: the format of the image, or png.");
        isReplacing = syntax.flag("--replace", "With --out-folder: replace existing files.");
        isPacked = syntax.flag("--packed", "Write a color image into a table as packed pixels, 0xAARRGGBB.");
        isExact = syntax.flag("--exact", "Write fractions into a table instead of decimals.");
        as = syntax.option("--as", "NOTATION", String.class, "Write an array as text: python, numpy, java, c, semicolons, json, latex, markdown or columns. Endings .py, .json, .tex and .md choose it.");
    }

    @Override
    public Integer call() {
        requireOneWay();
        if (folder.isGiven()) {
            return many();
        }
        if (notation(out.value()).isEmpty()) {
            ImageFiles.requireWritable(out.value(), isExact.value());
        }
        write(image.chain(), out.value(), syntax.err(), "");
        return 0;
    }

    private void requireOneWay() {
        if (out.isGiven() == folder.isGiven()) {
            throw PixeronException.of(out.isGiven() ? "--out and --out-folder cannot be combined. Use one of them."
                    : "Missing required option --out FILE, or --out-folder FOLDER for many images.");
        } else if (out.isGiven() && !more.value().isEmpty()) {
            throw PixeronException.of("--out is a single file, but there are %d images. Use --out-folder FOLDER.", 1 + more.value().size());
        } else if (out.isGiven() && (format.isGiven() || isReplacing.value())) {
            throw PixeronException.of("%s works with --out-folder only; with --out, the ending sets the format, and the file is replaced.", format.isGiven() ? "--format" : "--replace");
        }
    }

    /** A line for each file: its name, the size of the result, and where it is or why not. */
    private int many() {
        List<Path> given = new ArrayList<>(List.of(image.file()));
        given.addAll(more.value());
        Batch batch = Batch.plan(given, folder.value(), format.isGiven() ? Optional.of(format.value()) : Optional.empty(), isReplacing.value());
        // Errors in the steps themselves are reported before anything is read.
        steps.requireReadable();
        boolean isAllDone = true;
        for (Batch.Item item : batch.items()) {
            Batch.Done done = batch.apply(item, (file, target) -> write(image.chain(file), target, syntax.err(), file + ": "));
            syntax.out().println(done.item().file() + "\t" + done.size().map(Frame::size).orElse("–") + "\t" + done.problem().orElse(item.out().toString()));
            syntax.out().flush();
            isAllDone &= done.problem().isEmpty();
        }
        return isAllDone ? 0 : Pixeron.DIFFERS;
    }

    /** Returns the size of what was written. */
    private Frame write(Chain start, Path target, PrintWriter notes, String about) {
        Chain chain = steps.chain(start, image.input());
        chain.stages().forEach(this::askPatience);
        Result last = chain.last(Progress.NONE).required();
        Optional<ArrayNotation> notation = notation(target);
        if (last instanceof ModelImage) {
            face.requireOf(last, "a file stores one component");
        }
        if (notation.isPresent() && isPacked.value()) {
            throw PixeronException.of("--packed works with color images that are written to a table.");
        } else if (notation.isPresent()) {
            face.chosen(last);
            ResultFile.Written text = ResultFile.write(target, last, new ResultFile.Wish(face.name(), isExact.value(), false), notation.get());
            tell(chain, notes, about);
            return text.size();
        }
        if (ImageFiles.isTable(target)) {
            face.requireOf(last, "a table of numbers stores one component");
        }
        boolean isColorTable = last instanceof ColorImage && ImageFiles.isTable(target) && face.name().isEmpty();
        if (isColorTable && !isPacked.value()) {
            throw PixeronException.of("The result is a color image, but a table of numbers stores one channel. Add --component red, green, "
                    + "blue or alpha, or --packed.");
        } else if (isPacked.value() && !isColorTable) {
            throw PixeronException.of("--packed works with color images that are written to a table.");
        }
        // A face that is not there is named with those that are.
        face.chosen(last);
        ResultFile.Written written = ResultFile.write(target, last, new ResultFile.Wish(face.name(), isExact.value(), isPacked.value()));
        tell(chain, notes, about);
        written.note().ifPresent(note -> notes.println("pixeron: " + about + note));
        return written.size();
    }

    private Optional<ArrayNotation> notation(Path target) {
        return as.isGiven() ? Optional.of(ArrayNotation.named(as.value())) : ResultFile.notation(target);
    }

    private static void tell(Chain chain, PrintWriter notes, String about) {
        for (Stage stage : chain.stages()) {
            stage.bound(Progress.NONE).ifPresent(bound -> bound.notes().forEach(note ->
                    notes.printf("pixeron: %sStep %d: %s%n", about, stage.position() + 1, note)));
        }
    }

    private void askPatience(Stage stage) {
        if (stage.before(Progress.NONE) instanceof Outcome.Done before) {
            stage.link().step().type().patience(before.result().frame()).ifPresent(words -> syntax.err().println("pixeron: " + words));
        }
    }
}
