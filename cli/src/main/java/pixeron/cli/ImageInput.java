package pixeron.cli;

import java.nio.file.Path;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import picocli.CommandLine.Option;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.ReadOptions;
import pixeron.image.ColourImage;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.step.colour.GrayStep;
import pixeron.step.gray.GrayNotes;
import pixeron.step.gray.GrayRule;
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

    /** @return the image, made gray when it has colour and a rule is given */
    LoadedImage read(Path file) {
        LoadedImage loaded = readAsItIs(file);
        if (loaded.colour().isEmpty()) {
            return loaded;
        } else if (rule == null) {
            throw PixeronException.of("%s: The picture has %s; say how gray is made of it: --gray with %s or \"weights a b c\".",
                    file.getFileName(), loaded.channels() == 2 ? "transparency" : "colour",
                    GrayRule.ready().stream().map(GrayRule::word).collect(Collectors.joining(", ")));
        }
        return madeGray(loaded, rule);
    }

    /**
     * @return a chain on what the file holds; on a colour image, where a rule is given, with a step gray in front
     */
    Chain chain(Path file) {
        Result read = readAsItIs(file).result();
        Chain chain = Chain.of(read);
        return rule == null || read instanceof Image ? chain : gray(chain, rule);
    }

    /** @return the chain with a step gray behind it */
    Chain gray(Chain chain, String ruleText) {
        return chain.withStep(chain.size(), GrayStep.of(ruleText, Transparency.of(transparent)));
    }

    /** @return the image, made gray when it has colour and a rule is given, else as it is */
    LoadedImage readForFacts(Path file) {
        return rule == null ? readAsItIs(file) : read(file);
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

    /** @return a colour picture made gray by the rule, with a note of how */
    LoadedImage madeGray(LoadedImage loaded, String ruleText) {
        GrayRule chosen = GrayRule.parse(ruleText);
        Transparency way = Transparency.of(transparent);
        ColourImage picture = loaded.colour().orElseThrow();
        return loaded.madeGray(chosen.apply(picture, way), GrayNotes.of(chosen, picture, way));
    }
}
