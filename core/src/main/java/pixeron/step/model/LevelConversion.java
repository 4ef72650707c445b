package pixeron.step.model;

import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import pixeron.image.ColorImage;
import pixeron.image.ColorModel;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.LevelRaster;
import pixeron.image.ModelImage;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.step.Finish;
import pixeron.step.Progress;

/**
 * Conversions of whole images of levels into levels: each value is one fraction of whole numbers, without an object for it.
 *
 * <p>Gives what {@link ToComponent} and {@link ToChannel} give one by one.
 */
final class LevelConversion {

    /** Products of all scales stay below this, so that they fit into a long. */
    private static final double MOST = 1L << 62;

    private LevelConversion() {
    }

    /** A fraction of whole numbers for a pixel, by its offset. */
    @FunctionalInterface
    private interface Fractions {
        void of(int n, long[] fraction);
    }

    /** Returns the component; empty where it is not made of levels, or does not become levels. */
    static Optional<Image> of(ToComponent component, Progress progress) {
        ColorImage color = component.color();
        boolean isLevels = component.frame().range().lower().signum() == 0 && component.frame().range().upper().isInt();
        return !color.isLevelImage() || !isLevels || !isFinished(component.finish()) ? Optional.empty()
                : Optional.of(image(component.frame(), component.finish(), fractions(component), progress));
    }

    private static boolean isFinished(Finish finish) {
        return finish.rounding() != Rounding.NONE && finish.overflow() != Overflow.KEEP;
    }

    private static Image image(Frame frame, Finish finish, Fractions fractions, Progress progress) {
        LevelRaster raster = new LevelRaster(frame.rows(), frame.columns(), frame.maximumLevel());
        IntStream.range(0, frame.rows()).parallel().forEach(i -> {
            progress.report((double) i / frame.rows());
            int[] levels = new int[frame.columns()];
            long[] fraction = new long[2];
            for (int j = 0; j < levels.length; j++) {
                fractions.of(i * levels.length + j, fraction);
                levels[j] = frame.range().isCircle() ? Math.floorMod(finish.rounding().apply(fraction[0], fraction[1]), frame.maximumLevel())
                        : finish.level(fraction[0], fraction[1]);
            }
            raster.write(i, levels);
        });
        return raster.image();
    }

    private static Fractions fractions(ToComponent component) {
        ColorImage color = component.color();
        Image red = color.red();
        Image green = color.green();
        Image blue = color.blue();
        long maximum = color.maximumLevel();
        long factor = ColorModel.factor(component.name(), component.scale(), color.maximumLevel()).toInt();
        boolean isLightness = component.model() == ColorModel.HSL;
        return (n, fraction) -> {
            long r = red.level(n);
            long g = green.level(n);
            long b = blue.level(n);
            long x = Math.max(r, Math.max(g, b));
            long least = Math.min(r, Math.min(g, b));
            long c = x - least;
            long luma = 299 * r + 587 * g + 114 * b;
            switch (component.name()) {
                case "hue" -> {
                    long sixth = c == 0 ? 0 : x == r ? g - b : x == g ? b - r + 2 * c : r - g + 4 * c;
                    put(fraction, factor * (sixth < 0 ? sixth + 6 * c : sixth), 6 * c);
                }
                case "saturation" -> put(fraction, factor * c, c == 0 ? 0 : isLightness ? maximum - Math.abs(x + least - maximum) : x);
                case "value" -> put(fraction, factor * x, maximum);
                case "lightness" -> put(fraction, factor * (x + least), 2 * maximum);
                case "key" -> put(fraction, factor * (maximum - x), maximum);
                case "cyan" -> put(fraction, factor * (x - r), x);
                case "magenta" -> put(fraction, factor * (x - g), x);
                case "yellow" -> put(fraction, factor * (x - b), x);
                case "luma" -> put(fraction, factor * luma, 1000 * maximum);
                case "cb" -> put(fraction, 2 * (1000 * b - luma) + (maximum + 1) * 1772, 2 * 1772);
                default -> put(fraction, 2 * (1000 * r - luma) + (maximum + 1) * 1402, 2 * 1402);
            }
        };
    }

    /** Where nothing can be divided by, the value is 0: gray has no hue, and black no ink. */
    private static void put(long[] fraction, long numerator, long denominator) {
        fraction[0] = denominator == 0 ? 0 : numerator;
        fraction[1] = denominator == 0 ? 1 : denominator;
    }

    /** Returns the channel; empty where the components are no levels, or their scales are too fine. */
    static Optional<Image> of(ToChannel channel, Progress progress) {
        ModelImage model = channel.model();
        boolean areLevels = model.components().stream().allMatch(Image::isLevelImage) && model.model() != ColorModel.YCBCR;
        double product = Stream.concat(model.components().stream().map(Image::maximumLevel), Stream.of(4, model.maximumLevel())).mapToDouble(Integer::doubleValue)
                .reduce(1, (a, b) -> a * b);
        return !areLevels || product > MOST || !isFinished(channel.finish()) ? Optional.empty()
                : Optional.of(image(channel.frame(), channel.finish(), fractions(channel), progress));
    }

    private static Fractions fractions(ToChannel channel) {
        ModelImage model = channel.model();
        long maximum = model.maximumLevel();
        Image[] images = model.components().toArray(Image[]::new);
        long[] scales = Stream.of(images).mapToLong(Image::maximumLevel).toArray();
        if (model.model() == ColorModel.CMYK) {
            return (n, fraction) -> put(fraction, maximum * (scales[channel.channel()] - images[channel.channel()].level(n)) * (scales[3] - images[3].level(n)),
                    scales[channel.channel()] * scales[3]);
        }
        boolean isValue = model.model() == ColorModel.HSV;
        String[] parts = IntStream.range(0, 6).mapToObj(channel::part).toArray(String[]::new);
        return (n, fraction) -> {
            long sixths = 6L * images[0].level(n) % (6 * scales[0]);
            long third = images[2].level(n);
            // Everything over 2 × (scale of hue) × (scale of saturation) × (scale of value or lightness).
            long chroma = 2 * images[1].level(n) * (isValue ? third : scales[2] - Math.abs(2 * third - scales[2]));
            long middle = chroma * (scales[0] - Math.abs(sixths % (2 * scales[0]) - scales[0]));
            long base = 2 * third * scales[0] * scales[1] - (isValue ? chroma : chroma / 2) * scales[0];
            String part = parts[(int) (sixths / scales[0])];
            long sum = base + (part.equals("C") ? chroma * scales[0] : part.equals("x") ? middle : 0);
            put(fraction, maximum * sum, 2 * scales[0] * scales[1] * scales[2]);
        };
    }
}
