package pixeron.cli;

import java.nio.file.Path;
import java.util.OptionalInt;
import picocli.CommandLine.Option;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.Stage;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.ReadOptions;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.colour.GrayStep;
import pixeron.step.gray.Transparency;

/** What every command that reads an image takes. */
final class ImageInput {

    @Option(names = "--max", paramLabel = "M",
            description = "Maximum level, 1 to 65535, when the file does not say it.")
    private String maximum;

    @Option(names = "--open",
            description = "Read a table of any numbers as an open image (M = 255 unless --max says otherwise).")
    private boolean isOpen;

    @Option(names = "--most-pixels", paramLabel = "N", defaultValue = "" + ReadOptions.DEFAULT_PIXEL_LIMIT,
            description = "Most pixels that are read; default ${DEFAULT-VALUE}.")
    private long mostPixels;

    @Option(names = "--gray", paramLabel = "RULE",
            description = "Make gray of a colour picture: mean, luma-601, luma-709, lightness, maximum, red, green, blue, "
                    + "or \"weights a b c\".")
    private String rule;

    @Option(names = "--transparent", paramLabel = "WAY", defaultValue = "over-white",
            description = "What becomes of transparent pixels: over-white, over-black or ignored; default ${DEFAULT-VALUE}.")
    private String transparent;

    /**
     * @return a chain on what the file holds; on a colour image, where a rule is given, with a step gray in front
     */
    Chain chain(Path file) {
        Result read = readAsItIs(file).result();
        Chain chain = Chain.of(read).withMostPixels(mostPixels);
        return rule == null || read instanceof Image ? chain : gray(chain, rule);
    }

    /** @return what the file holds, made gray where a rule is given */
    Result result(Path file) {
        return chain(file).last(Progress.NONE).required();
    }

    /** @return the chain with a step gray behind it */
    Chain gray(Chain chain, String ruleText) {
        return chain.withStep(chain.size(), GrayStep.of(ruleText, Transparency.of(transparent)));
    }

    /** @return the image, made gray when it has colour and a rule is given, else as it is */
    LoadedImage readForFacts(Path file) {
        LoadedImage loaded = readAsItIs(file);
        return rule == null || loaded.colour().isEmpty() ? loaded : madeGray(loaded);
    }

    /** @return the file as it is, colour or gray */
    LoadedImage readAsItIs(Path file) {
        return ImageFiles.read(file, new ReadOptions(maximum == null ? OptionalInt.empty() : OptionalInt.of(maximum()),
                isOpen, mostPixels));
    }

    private int maximum() {
        if (!maximum.matches("\\d{1,9}")) {
            throw PixeronException.of("--max %s is not a whole number from 1 to 65535.", Decimals.shortened(maximum));
        }
        return Integer.parseInt(maximum);
    }

    private LoadedImage madeGray(LoadedImage loaded) {
        Stage gray = gray(Chain.of(loaded.result()), rule).stage(0);
        Step step = gray.link().step();
        LoadedImage made = loaded.madeGray(gray.after(Progress.NONE).image(), "Gray is made by " + rule + ": gray"
                + step.type().formula(step.arguments()).substring(1) + ".");
        for (String note : gray.bound(Progress.NONE).orElseThrow().notes()) {
            made = made.withNote(note);
        }
        return made;
    }
}
