package pixeron.cli;

import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalInt;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.Stage;
import pixeron.format.ArrayOptions;
import pixeron.format.ImageFiles;
import pixeron.format.LoadedImage;
import pixeron.format.ReadOptions;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.color.GrayStep;
import pixeron.step.gray.Transparency;

/** What every command that reads an image takes. */
final class ImageInput {

    private final Argument<String> maximum;
    private final Argument<Boolean> isOpen;
    private final Argument<Long> mostPixels;
    private final Argument<Integer> columns;
    private final Argument<String> channels;
    private final Argument<Boolean> arePlanes;
    private final Argument<Boolean> areSignedBytes;
    private final Argument<String> packed;
    private final Argument<String> rule;
    private final Argument<String> transparent;
    /** Empty in commands where --swap is about values by hand. */
    private final Optional<Argument<Boolean>> isSwapped;

    /** Takes --swap for the image. */
    ImageInput(Syntax syntax) {
        this(syntax, Optional.of(syntax.flag("--swap", "Transpose a list or table of numbers: its rows become columns of the image.")));
    }

    private ImageInput(Syntax syntax, Optional<Argument<Boolean>> isSwapped) {
        this.isSwapped = isSwapped;
        maximum = syntax.option("--max", "M", String.class, "Maximum level, 1 to 65535, if the file does not contain it.");
        isOpen = syntax.flag("--open", "Read a table with signed or fractional values as a real-valued image (M = 255 unless --max is given).");
        mostPixels = syntax.option("--most-pixels", "N", long.class, "" + ReadOptions.DEFAULT_PIXEL_LIMIT, "Limit for the number of pixels; default: ${DEFAULT-VALUE}.");
        columns = syntax.option("--columns", "W", Integer.class, "Number of columns of a flat list of numbers.");
        channels = syntax.option("--channels", "ORDER", String.class, "Order of the channels of each pixel in a list of numbers, such as rgb or bgra.");
        arePlanes = syntax.flag("--planes", "Read three levels of brackets as one plane for each channel.");
        areSignedBytes = syntax.flag("--signed-bytes", "Add 256 to negative values: bytes that were printed with a sign.");
        packed = syntax.option("--packed-as", "WAY", String.class, "Read whole numbers as packed pixels: argb or rgb. The short form is --packed argb.");
        rule = syntax.option("--gray", "RULE", String.class,
                "Convert a color picture to gray: mean, luma-601, luma-709, lightness, maximum, red, green, blue, or \"weights a b c\".");
        transparent = syntax.option("--transparent", "WAY", String.class, "over-white",
                "Transparent pixels: over-white, over-black or ignored; default: ${DEFAULT-VALUE}.");
    }

    /** Returns what is read where --swap is about values by hand. */
    static ImageInput withoutSwap(Syntax syntax) {
        return new ImageInput(syntax, Optional.empty());
    }

    /** Returns a chain on what the file holds; on a color image, where a rule is given, with a step gray in front. */
    Chain chain(Path file) {
        Result read = readAsItIs(file).result();
        Chain chain = Chain.of(read).withMostPixels(mostPixels.value());
        return rule.isGiven() && !(read instanceof Image) ? gray(chain, rule.value()) : chain;
    }

    /** Returns what the file holds, made gray where a rule is given. */
    Result result(Path file) {
        return chain(file).last(Progress.NONE).required();
    }

    /** Returns the chain with a step gray behind it. */
    Chain gray(Chain chain, String ruleText) {
        return chain.withStep(chain.size(), GrayStep.of(ruleText, Transparency.of(transparent.value())));
    }

    /** Returns the image, made gray when it has color and a rule is given, else as it is. */
    LoadedImage readForFacts(Path file) {
        LoadedImage loaded = readAsItIs(file);
        return rule.isGiven() && loaded.color().isPresent() ? madeGray(loaded) : loaded;
    }

    /** Returns the file as it is, color or gray. */
    LoadedImage readAsItIs(Path file) {
        return ImageFiles.read(file, new ReadOptions(maximum.isGiven() ? OptionalInt.of(maximum()) : OptionalInt.empty(),
                isOpen.value(), mostPixels.value(), array()));
    }

    private ArrayOptions array() {
        if (columns.isGiven() && columns.value() < 1) {
            throw PixeronException.of("--columns %d is not a number of columns. Use 1 or more.", columns.value());
        } else if (packed.isGiven() && !packed.value().matches("a?rgb")) {
            throw PixeronException.of("--packed %s is not a kind of packed pixels. Use argb or rgb.", Decimals.shortened(packed.value()));
        }
        return new ArrayOptions(columns.isGiven() ? OptionalInt.of(columns.value()) : OptionalInt.empty(), channels.isGiven() ? Optional.of(channels.value()) : Optional.empty(), arePlanes.value(),
                areSignedBytes.value(), packed.isGiven() ? Optional.of(packed.value()) : Optional.empty(),
                isSwapped.map(Argument::value).orElse(false));
    }

    private int maximum() {
        if (!maximum.value().matches("\\d{1,9}")) {
            throw PixeronException.of("--max %s is not a whole number from 1 to 65535.", Decimals.shortened(maximum.value()));
        }
        return Integer.parseInt(maximum.value());
    }

    private LoadedImage madeGray(LoadedImage loaded) {
        Stage gray = gray(Chain.of(loaded.result()), rule.value()).stage(0);
        Step step = gray.link().step();
        LoadedImage made = loaded.madeGray(gray.after(Progress.NONE).image(), "Gray is calculated by " + rule.value() + ": gray"
                + step.type().formula(step.arguments()).substring(1) + ".");
        for (String note : gray.bound(Progress.NONE).orElseThrow().notes()) {
            made = made.withNote(note);
        }
        return made;
    }
}
