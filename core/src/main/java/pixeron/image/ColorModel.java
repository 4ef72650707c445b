package pixeron.image;

import java.util.List;
import java.util.Optional;
import pixeron.Worded;
import pixeron.number.Range;
import pixeron.number.Rational;

/**
 * Ways to tell a color by other numbers than red, green and blue.
 *
 * <p>Source: A. R. Smith, "Color gamut transform pairs", 1978 (hsv); G. H. Joblove and D. Greenberg, "Color spaces for computer graphics",
 * 1978 (hsl); ITU-R BT.601 (ycbcr); docs/definitions/color-models.md.
 */
public enum ColorModel implements Worded {
    HSV("hsv", "hue, saturation and value", "hue", "saturation", "value"),
    HSL("hsl", "hue, saturation and lightness", "hue", "saturation", "lightness"),
    CMYK("cmyk", "cyan, magenta, yellow and key", "cyan", "magenta", "yellow", "key"),
    YCBCR("ycbcr", "luma and two color differences", "luma", "cb", "cr");

    /** Components with a sign. */
    private static final List<String> DIFFERENCES = List.of("cb", "cr");
    /** The component that is an angle. */
    public static final String HUE = "hue";

    private final String word;
    private final String sentence;
    private final List<String> components;

    ColorModel(String word, String sentence, String... components) {
        this.word = word;
        this.sentence = sentence;
        this.components = List.of(components);
    }

    /** In which numbers components are written. */
    public enum Scale implements Worded {
        USUAL("usual", "degrees and percent"),
        LEVELS("levels", "0–M"),
        UNIT("unit", "0–1"),
        HALF("half", "hue 0–180, the others 0–255");

        private final String word;
        private final String sentence;

        Scale(String word, String sentence) {
            this.word = word;
            this.sentence = sentence;
        }

        @Override
        public String word() {
            return word;
        }

        /** Returns what it is, in a few words. */
        public String sentence() {
            return sentence;
        }
    }

    @Override
    public String word() {
        return word;
    }

    /** Returns what it is, in a few words. */
    public String sentence() {
        return sentence;
    }

    /** Returns the names of its components, in their order. */
    public List<String> components() {
        return components;
    }

    /** Returns the model of this name. */
    public static Optional<ColorModel> named(String word) {
        return Worded.find(values(), word);
    }

    /** Returns whether it can be written in a scale: half is for models with a hue. */
    public boolean has(Scale scale) {
        return scale != Scale.HALF || components.contains(HUE);
    }

    /** Returns whether a component has a sign. */
    public static boolean isDifference(String component) {
        return DIFFERENCES.contains(component);
    }

    /**
     * Returns by how much a component that counts 0–1 (a hue as a part of the circle, a color difference −½–½) is multiplied.
     *
     * @param maximumLevel M of the color image
     */
    public static Rational factor(String component, Scale scale, int maximumLevel) {
        return switch (scale) {
            case USUAL -> Rational.of(component.equals(HUE) ? 360 : 100);
            case LEVELS -> Rational.of(maximumLevel);
            case UNIT -> Rational.ONE;
            case HALF -> Rational.of(component.equals(HUE) ? 180 : Image.BYTE_MAXIMUM);
        };
    }

    /** Returns what is then added: (M + 1) ÷ 2 to color differences as levels, else 0. */
    public static Rational offset(String component, Scale scale, int maximumLevel) {
        return isDifference(component) && scale == Scale.LEVELS ? Rational.of(maximumLevel + 1, 2) : Rational.ZERO;
    }

    /**
     * Returns where the values of a component belong.
     *
     * @param maximumLevel M of the color image
     */
    public static Range range(String component, Scale scale, int maximumLevel) {
        Rational factor = factor(component, scale, maximumLevel);
        if (component.equals(HUE)) {
            return Range.circle(factor);
        }
        Rational half = factor.dividedBy(Rational.of(2));
        return isDifference(component) && scale != Scale.LEVELS ? new Range(half.negated(), half, false) : new Range(Rational.ZERO, factor, false);
    }

    /** Returns the maximum of a component: the end of its range, and 1 for color differences in unit. */
    public static int maximum(String component, Scale scale, int maximumLevel) {
        Rational upper = range(component, scale, maximumLevel).upper();
        return upper.isWhole() ? upper.toInt() : 1;
    }
}
