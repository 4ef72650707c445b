package pixeron.make;

import java.util.List;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.step.Progress;
import pixeron.step.key.Amount;
import pixeron.step.key.KeyedLine;
import pixeron.step.key.NumberParameter;

/** All ways to make a new image, by name. A new one is one entry here. */
public final class Makers {

    private static final NumberParameter VALUE = NumberParameter.level("value", "Value", Amount.of(0));
    private static final NumberParameter FROM = NumberParameter.level("from", "First value", Amount.of(0));
    private static final NumberParameter TO = NumberParameter.level("to", "Last value", Amount.MAXIMUM);
    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0));
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM);
    private static final NumberParameter SIZE = positive("size", "Size", 1);
    private static final NumberParameter WIDTH = positive("width", "Width", 1);
    private static final NumberParameter RADIUS = positive("radius", "Radius", 3);
    private static final NumberParameter PERIOD = positive("period", "Period", 8);

    private static final List<Maker> ALL = List.of(
            new FormulaMaker("fill", "Filled", "Every pixel has the same value.", "value", VALUE),
            new ColorMaker(),
            new FormulaMaker("formula", "Formula", "Every value is calculated from its row i and column j.", null,
                    FormulaMaker.EXPRESSION),
            new FormulaMaker("gradient", "Ramp", "Changes evenly from one value to another.",
                    "if(length = 1, from, from + (to - from) * along / (length - 1))", FROM, TO, FormulaMaker.ACROSS),
            new FormulaMaker("checker", "Checker", "Squares with two alternating values, like a chessboard.",
                    "if(mod(floor(i / size) + floor(j / size), 2) = 0, low, high)", SIZE, LOW, HIGH),
            new FormulaMaker("stripes", "Stripes", "Stripes with two alternating values.",
                    "if(mod(floor(along / width), 2) = 0, low, high)", WIDTH, LOW, HIGH, FormulaMaker.ACROSS),
            new FormulaMaker("disc", "Disc", "A round disc in the center.",
                    "if((i - (H - 1) / 2)^2 + (j - (W - 1) / 2)^2 <= radius^2, high, low)", RADIUS, LOW, HIGH),
            new FormulaMaker("sine", "Sine wave", "A sine wave between low and high that starts midway.",
                    "(low + high) / 2 + (high - low) / 2 * sin(2 * pi * along / period)", PERIOD, LOW, HIGH,
                    FormulaMaker.ACROSS),
            new UniformNoise(), new GaussianNoise(), new SaltAndPepper());

    private Makers() {
    }

    private static NumberParameter positive(String key, String title, int value) {
        return NumberParameter.optional(key, title, value).only(n -> n.signum() > 0, "a number above 0");
    }

    public static List<Maker> all() {
        return ALL;
    }

    /**
     * Returns the new image, gray or in color.
     *
     * @param line {@code name key=value …}, such as {@code gradient rows=8 columns=8 maximum=7}
     * @throws PixeronException if the line is not understood or a value cannot be calculated
     */
    public static Result make(String line) {
        return make(line, Long.MAX_VALUE);
    }

    /**
     * Returns a new gray image.
     *
     * @throws PixeronException also if the line makes one in color
     */
    public static Image gray(String line) {
        return gray(line, Long.MAX_VALUE);
    }

    /** Returns a new gray image with so many pixels at most. */
    public static Image gray(String line, long mostPixels) {
        if (make(line, mostPixels) instanceof Image image) {
            return image;
        }
        throw PixeronException.of("\"%s\" is in color, but this needs a gray image.", Decimals.shortened(line));
    }

    /**
     * Creates an image.
     *
     * @param mostPixels that the image may have
     * @throws PixeronException also if it would have more; nothing is made then
     */
    public static Result make(String line, long mostPixels) {
        KeyedLine<Maker> parsed = KeyedLine.parse("new image", line, Makers::find);
        KeyedLine.requireAll(parsed.type(), parsed.arguments());
        long rows = Maker.whole(parsed.arguments(), Maker.ROWS);
        long columns = Maker.whole(parsed.arguments(), Maker.COLUMNS);
        if (rows * columns > mostPixels) {
            throw PixeronException.of("%d × %d is more than the limit of %d pixels.", rows, columns, mostPixels);
        }
        return parsed.type().make(parsed.arguments(), Progress.NONE);
    }

    private static Maker find(String name) {
        return ALL.stream().filter(maker -> maker.name().equals(name)).findFirst().orElseThrow(() ->
                PixeronException.of("there is no kind of image \"%s\". Use %s.", Decimals.shortened(name),
                        ALL.stream().map(Maker::name).collect(Collectors.joining(", "))));
    }
}
