package pixeron.step.gray;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.formula.Trace;
import pixeron.formula.TraceLines;
import pixeron.formula.Typeset;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Role;
import pixeron.working.Run;
import pixeron.working.Working;

/**
 * A rule that makes one gray level of the three channels R, G, B of a pixel, rounded to nearest and clipped to 0–M.
 *
 * <p>One formula serves the working; the bulk result uses the same rule as an exact sum of whole numbers over one
 * denominator, because a photo has millions of pixels. A law in the tests holds the two against each other.
 */
public final class GrayRule {

    /** The sum of a rule before it is divided: exact in a long for M ≤ 65535 and weights below 2²⁰. */
    private interface Sum {
        long of(long red, long green, long blue);
    }

    private static final Set<String> CHANNELS = Set.of("R", "G", "B");
    private static final BigInteger LARGEST_WEIGHT = BigInteger.ONE.shiftLeft(20);
    private static final String WEIGHTS = "weights";
    private static final String MEAN = "mean";
    private static final String LIGHTNESS = "lightness";

    private static final List<GrayRule> READY = List.of(
            weighted(MEAN, "the mean of the channels", "(R + G + B) / 3", 3, 1, 1, 1),
            weighted("luma-601", "weights 0.299, 0.587, 0.114", "0.299 * R + 0.587 * G + 0.114 * B", 1000, 299, 587, 114),
            weighted("luma-709", "weights 0.2126, 0.7152, 0.0722", "0.2126 * R + 0.7152 * G + 0.0722 * B",
                    10000, 2126, 7152, 722),
            new GrayRule(LIGHTNESS, "midway between the largest and the smallest channel",
                    "(max(R, G, B) + min(R, G, B)) / 2",
                    (r, g, b) -> Math.max(r, Math.max(g, b)) + Math.min(r, Math.min(g, b)), 2),
            new GrayRule("maximum", "the largest channel", "max(R, G, B)", (r, g, b) -> Math.max(r, Math.max(g, b)), 1),
            weighted("red", "the red channel only", "R", 1, 1, 0, 0),
            weighted("green", "the green channel only", "G", 1, 0, 1, 0),
            weighted("blue", "the blue channel only", "B", 1, 0, 0, 1));

    private final String word;
    private final String sentence;
    private final Expression formula;
    private final Sum sum;
    private final long divisor;

    private GrayRule(String word, String sentence, String formula, Sum sum, long divisor) {
        this.word = word;
        this.sentence = sentence;
        this.formula = Parser.parse(formula, CHANNELS);
        this.sum = sum;
        this.divisor = divisor;
    }

    private static GrayRule weighted(String word, String sentence, String formula, long divisor, long... weights) {
        return new GrayRule(word, sentence, formula, (red, green, blue) -> weights[0] * red + weights[1] * green + weights[2] * blue,
                divisor);
    }

    /** Returns the rules with a name, the usual one first. */
    public static List<GrayRule> ready() {
        return READY;
    }

    /**
     * Returns the rule.
     *
     * @param text the word of a ready rule, or {@code weights a b c} with three numbers of one's own
     * @throws PixeronException if it is neither, or a weight is beyond 2²⁰ over the common denominator
     */
    public static GrayRule parse(String text) {
        String[] words = text.strip().split("[ ,]+");
        if (words[0].equals(WEIGHTS)) {
            return ownWeights(Arrays.copyOfRange(words, 1, words.length));
        }
        return READY.stream().filter(rule -> rule.word.equals(text.strip())).findFirst().orElseThrow(() ->
                PixeronException.of("\"%s\" is not a valid gray rule. Use %s or \"weights a b c\".",
                        Decimals.shortened(text), READY.stream().map(GrayRule::word)
                                .collect(Collectors.joining(", "))));
    }

    private static GrayRule ownWeights(String... texts) {
        if (texts.length != 3) {
            throw PixeronException.of("weights needs three numbers, for red, green and blue, but has %d.",
                    texts.length);
        }
        List<Rational> weights = Arrays.stream(texts).map(Decimals::parse).toList();
        BigInteger common = weights.stream().map(Rational::denominator)
                .reduce(BigInteger.ONE, (a, b) -> a.multiply(b).divide(a.gcd(b)));
        long[] whole = weights.stream().map(w -> w.numerator().multiply(common.divide(w.denominator())))
                .mapToLong(w -> requireSmall(w).longValue()).toArray();
        String formula = "(" + weights.get(0) + ") * R + (" + weights.get(1) + ") * G + (" + weights.get(2) + ") * B";
        return weighted(WEIGHTS + " " + weights.stream().map(Decimals::print).collect(Collectors.joining(" ")),
                "custom weights", formula, requireSmall(common).longValue(), whole);
    }

    private static BigInteger requireSmall(BigInteger number) {
        if (number.abs().compareTo(LARGEST_WEIGHT) > 0) {
            throw PixeronException.of("The weights have too many digits: over a common denominator they exceed 1048576. Use fewer digits.");
        }
        return number;
    }

    /** Returns the rule of a user who divides every channel by itself, in whole numbers; empty where it divides no sum by a whole number. */
    public Optional<GrayRule> dividedApart() {
        return switch (word) {
            case MEAN -> Optional.of(new GrayRule(word, sentence, "floor(R / 3) + floor(G / 3) + floor(B / 3)", (r, g, b) -> r / 3 + g / 3 + b / 3, 1));
            case LIGHTNESS -> Optional.of(new GrayRule(word, sentence, "floor(max(R, G, B) / 2) + floor(min(R, G, B) / 2)", (r, g, b) ->
                    Math.max(r, Math.max(g, b)) / 2 + Math.min(r, Math.min(g, b)) / 2, 1));
            default -> Optional.empty();
        };
    }

    /** Returns the rule of a user whose sum of channels is kept in a byte; empty where there is no sum of whole channels. */
    public Optional<GrayRule> inBytes() {
        return switch (word) {
            case MEAN -> Optional.of(new GrayRule(word, sentence, "mod(R + G + B, 256) / 3", (r, g, b) -> (r + g + b) % 256, 3));
            case LIGHTNESS -> Optional.of(new GrayRule(word, sentence, "mod(max(R, G, B) + min(R, G, B), 256) / 2", (r, g, b) ->
                    (Math.max(r, Math.max(g, b)) + Math.min(r, Math.min(g, b))) % 256, 2));
            default -> Optional.empty();
        };
    }

    /** Returns its word, as {@link #parse} reads it. */
    public String word() {
        return word;
    }

    /** Returns what it does, in a few words. */
    public String sentence() {
        return sentence;
    }

    /** Returns its formula for people. */
    public String formula() {
        return "gray = " + Typeset.text(formula);
    }

    /** Returns the gray image, with the picture's maximum level. */
    public Image apply(ColorImage picture, Transparency transparency) {
        int maximum = picture.maximumLevel();
        boolean isLaid = isLaid(picture, transparency);
        long ground = transparency.ground(maximum);
        return Image.ofLevels(picture.rows(), picture.columns(), maximum, n -> {
            long red = picture.red().level(n);
            long green = picture.green().level(n);
            long blue = picture.blue().level(n);
            if (!isLaid) {
                return rounded(sum.of(red, green, blue), divisor, maximum);
            }
            long alpha = picture.alpha().orElseThrow().level(n);
            long behind = ground * (maximum - alpha);
            return rounded(sum.of(red * alpha + behind, green * alpha + behind, blue * alpha + behind),
                    divisor * maximum, maximum);
        });
    }

    /** Returns whether transparent pixels are laid on a ground. */
    public static boolean isLaid(ColorImage picture, Transparency transparency) {
        return picture.alpha().isPresent() && transparency != Transparency.IGNORED;
    }

    /** Nearest, ties away from zero; below 0 is clipped anyway, so only the upper half needs care. */
    private static int rounded(long numerator, long denominator, int maximum) {
        return (int) Math.max(0, Math.min(maximum, Math.floorDiv(2 * numerator + denominator, 2 * denominator)));
    }

    /** Returns the arithmetic that leads to the gray level of one pixel. */
    public Working explain(ColorImage picture, Transparency transparency, Pixel pixel) {
        Value exact = exact(picture, transparency, pixel);
        Finish finish = new Finish(Rounding.NEAREST, Overflow.CLIP, picture.maximumLevel());
        List<Line> lines = lines(picture, transparency, pixel);
        lines.addAll(finish.explain(exact));
        return new Working(word + ", " + pixel, lines, exact, finish.apply(exact));
    }

    /** Returns the gray value of a pixel before rounding. */
    public Value exact(ColorImage picture, Transparency transparency, Pixel pixel) {
        return Evaluator.evaluate(formula, channels(picture, transparency, pixel)::get);
    }

    private static Map<String, Value> channels(ColorImage picture, Transparency transparency, Pixel pixel) {
        Map<String, Value> channels = new LinkedHashMap<>();
        channels.put("R", picture.red().value(pixel));
        channels.put("G", picture.green().value(pixel));
        channels.put("B", picture.blue().value(pixel));
        if (isLaid(picture, transparency)) {
            Value alpha = picture.alpha().orElseThrow().value(pixel);
            channels.replaceAll((name, value) -> laid(value, alpha, transparency, picture.maximumLevel()));
        }
        return channels;
    }

    /** Returns the lines that lead to {@link #exact}. */
    public List<Line> lines(ColorImage picture, Transparency transparency, Pixel pixel) {
        int maximum = picture.maximumLevel();
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of("formula", Run.plain(formula())));
        Map<String, Value> laid = channels(picture, transparency, pixel);
        if (isLaid(picture, transparency)) {
            Map<String, Value> channels = channels(picture, Transparency.IGNORED, pixel);
            Value alpha = picture.alpha().orElseThrow().value(pixel);
            for (String name : List.of("R", "G", "B")) {
                lines.add(Line.of(transparency.word(), Run.plain(name + " = ("), before(channels.get(name)),
                        Run.plain(" × " + Decimals.working(alpha) + " + " + transparency.ground(maximum) + " × ("
                                + maximum + " \u2212 " + Decimals.working(alpha) + ")) ÷ " + maximum + " = "
                                + Decimals.working(laid.get(name)))));
            }
        }
        Expression filled = Trace.substitute(formula, name -> new Expression.Literal(laid.get(name), Role.BEFORE));
        lines.addAll(TraceLines.under("this pixel", "gray = ", filled));
        return lines;
    }

    /** Goes through the loop that leads to {@link #exact}, which is called s. */
    public void follow(ColorImage picture, Transparency transparency, Pixel pixel, LoopWriter out) {
        out.set("R", picture.red().value(pixel)).set("G", picture.green().value(pixel))
                .set("B", picture.blue().value(pixel)).line(0, "R, G, B ← the channels at [i][j]");
        if (isLaid(picture, transparency)) {
            out.set("alpha", picture.alpha().orElseThrow().value(pixel)).line(0, "R, G, B ← each of them "
                    + transparency.sentence());
        }
        out.set("s", exact(picture, transparency, pixel)).line(0, "s ← " + Typeset.text(formula));
    }

    /**
     * Returns the loop that leads to {@link #exact} as a program has it, over grids red, green, blue and alpha.
     *
     * @param isLaid whether there is an alpha, and transparent pixels are laid on a ground
     */
    public List<Statement> statements(boolean isLaid, Transparency transparency) {
        List<Statement> body = new ArrayList<>();
        Code m = Code.name("M");
        Code alpha = Code.name("alpha_here");
        if (isLaid) {
            body.add(Statement.set("alpha_here", cell("alpha")));
        }
        Code behind = transparency == Transparency.OVER_WHITE ? m.times(m.minus(alpha)) : Code.of(0);
        for (String channel : List.of("red", "green", "blue")) {
            body.add(Statement.set(channel.substring(0, 1).toUpperCase(Locale.ROOT), isLaid ? cell(channel).times(alpha).plus(behind).over(m) : cell(channel)));
        }
        body.add(Statement.set("exact", Code.of(formula, Code::name)));
        return body;
    }

    private static Code cell(String channel) {
        return new Code.Cell(channel, Code.name("i"), Code.name("j"));
    }

    private static Run before(Value value) {
        return Run.before(Decimals.working(value));
    }

    private static Value laid(Value channel, Value alpha, Transparency transparency, int maximum) {
        Value whole = Rational.of(maximum);
        Value behind = Rational.of(transparency.ground(maximum)).times(whole.minus(alpha));
        return channel.times(alpha).plus(behind).dividedBy(whole);
    }

    /** Equal words mean equal rules. */
    @Override
    public boolean equals(Object other) {
        return other instanceof GrayRule rule && word.equals(rule.word);
    }

    @Override
    public int hashCode() {
        return word.hashCode();
    }

    @Override
    public String toString() {
        return word;
    }
}
