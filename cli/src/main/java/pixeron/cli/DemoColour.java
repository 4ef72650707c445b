package pixeron.cli;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.byhand.Check;
import pixeron.byhand.colour.Abreast;
import pixeron.byhand.colour.ColourCells;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.chain.Chain;
import pixeron.chain.Stage;
import pixeron.format.ImageFiles;
import pixeron.image.ColourImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.PackedPixel;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;
import pixeron.step.colour.PixelWorking;
import pixeron.working.WorkingText;

/** The colour proof calculated with channel by channel, and values by hand in which three slips were made. */
final class DemoColour {

    private static final Map<String, String> RESULTS = new LinkedHashMap<>();

    static {
        RESULTS.put("more-red", "add amount=60 channels=red");
        RESULTS.put("negative", "invert");
        RESULTS.put("half-gray", "gray rule=red area=\"0 0 24 12\"");
        RESULTS.put("no-green", "multiply factor=0 channels=green");
    }

    private static final String PART = "crop row=4 column=8 height=4 width=4";
    private static final String STEP = "add amount=60";
    private static final int BYTE = 255;

    private final ColourImage proof;
    private final Path folder;
    private final StringBuilder report = new StringBuilder();
    private int files;

    DemoColour(ColourImage proof, Path folder) {
        this.proof = proof;
        this.folder = folder;
    }

    /** @return what the report says of it */
    String write(BiConsumer<String, String> texts) {
        put("colour-proof.png", proof);
        report.append(String.format("%n## Colour, channel by channel%n%nThe colour proof as it is, `colour-proof.png`, and%n%n"));
        RESULTS.forEach((name, line) -> {
            put("colour-proof-" + name + ".png", Chain.of(proof).withStep(0, StepLine.parse(line)).last(Progress.NONE).required());
            report.append(String.format("- `%s`: `colour-proof-%s.png`%n", line, name));
        });
        Stage stage = Chain.of(proof).withStep(0, StepLine.parse(PART)).withStep(1, StepLine.parse(STEP)).stage(1);
        ColourImage before = (ColourImage) stage.before(Progress.NONE).required();
        ColourImage after = (ColourImage) stage.after(Progress.NONE).required();
        Abreast right = new Abreast(stage.bound(Progress.NONE).orElseThrow(), before, after);
        Pixel pixel = new Pixel(0, 1);
        report.append(String.format("%nOne pixel of `%s`, after `%s`:%n%n```%n%s```%n", STEP, PART, WorkingText.plain(STEP + ", "
                + pixel, PixelWorking.lines(right.bound(), before, after, pixel))));
        check("swapped", "Red and blue were exchanged", right, texts, n -> hexadecimal(level(after, 2, n), level(after, 1, n), level(after, 0, n)));
        check("mask", "Green was taken with the mask of blue", right, texts, n -> hexadecimal(level(after, 0, n), capped(level(before, 2, n) + 60),
                level(after, 2, n)));
        check("carried", "60 was added to the packed value as it is", right, texts, n -> String.format("0x%06X",
                (((long) level(before, 0, n) << 16 | (long) level(before, 1, n) << 8 | level(before, 2, n)) + 0x3C3C3C) & 0xFFFFFF));
        return report.toString();
    }

    int files() {
        return files;
    }

    private void put(String name, Result result) {
        ImageFiles.write(folder.resolve(name), result, false);
        files++;
    }

    private static int capped(int level) {
        return Math.min(BYTE, level);
    }

    private static int level(ColourImage image, int face, int n) {
        Image channel = image.faces().get(face).image();
        return channel.level(n);
    }

    private static String hexadecimal(int red, int green, int blue) {
        return "0x" + PackedPixel.of(0, red, green, blue).hexadecimal().substring(4);
    }

    private interface Written {
        String of(int n);
    }

    private void check(String name, String words, Abreast right, BiConsumer<String, String> texts, Written written) {
        int columns = right.after().columns();
        List<List<String>> cells = IntStream.range(0, right.after().rows()).mapToObj(row -> IntStream.range(0, columns).mapToObj(column ->
                written.of(row * columns + column)).toList()).toList();
        texts.accept("colour-" + name + ".csv", cells.stream().map(row -> String.join(",", row)).collect(Collectors.joining("\n")) + "\n");
        files++;
        Check check = Check.of(ColourCells.sheet(cells, right), right);
        Findings found = new SlipFinder(right).find(check, Progress.NONE);
        report.append(String.format("%n%s (`colour-%s.csv`):%n%n```%n%s```%n", words, name, CheckText.of(check, found, right)));
    }
}
