package pixeron.app.bench.parts;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import pixeron.app.model.Described;
import pixeron.app.model.Display;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.byhand.Check;
import pixeron.byhand.Verdict;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.image.Pixel;
import pixeron.image.ModelImage;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Step;

/** The small texts that several parts of the window need, worded once. */
public final class Words {

    private static final int COLOURS = 3;
    /** More letters than these do not fit into a line of a step. */
    private static final int LONG_VALUE = 18;
    private static final int LONG_WORD = 16;

    private Words() {
    }

    /** Returns size and levels of an image: {@code 8 × 8 · levels 0–7}. */
    public static String size(Result result) {
        Frame frame = result.frame();
        if (result instanceof Spectrum) {
            return frame.size() + " · spectrum";
        } else if (result instanceof ModelImage model) {
            return frame.size() + " · " + model.model().word() + ", " + model.scale().sentence();
        }
        boolean hasLevels = result.faces().stream().allMatch(face -> face.image().isLevelImage());
        return frame.size() + " · " + (result instanceof ColorImage ? "color, " : "")
                + (hasLevels ? "levels 0–" + frame.maximumLevel() : "real-valued, M = " + frame.maximumLevel());
    }

    public static String range(ImageFacts facts) {
        return "min " + Decimals.approximate(facts.smallest()) + " · max " + Decimals.approximate(facts.largest())
                + " · mean " + oneDecimal(facts.mean());
    }

    /** Returns smallest and largest, for a narrow sheet. */
    public static String shortRange(ImageFacts facts) {
        return "from " + Decimals.approximate(facts.smallest()) + " to " + Decimals.approximate(facts.largest());
    }

    /** Returns smallest and largest of red, green and blue. */
    public static String range(Seen seen) {
        return ranges(seen, name -> name + " ");
    }

    /** Returns the same without their names, for a narrow sheet. */
    public static String shortRange(Seen seen) {
        return ranges(seen, name -> "");
    }

    private static String ranges(Seen seen, UnaryOperator<String> called) {
        List<String> words = new ArrayList<>();
        for (int n = 0; n < Math.min(COLOURS, seen.faces().size()); n++) {
            ImageFacts facts = seen.faces().get(n).facts();
            words.add(called.apply(seen.names().get(n)) + Decimals.approximate(facts.smallest()) + "–" + Decimals.approximate(facts.largest()));
        }
        return String.join(" · ", words);
    }

    private static String oneDecimal(Value mean) {
        return String.format(java.util.Locale.ROOT, "%.1f", mean.asDouble()).replace('-', Decimals.MINUS);
    }

    /** Returns the step's line without its name, or words for a step without keys. */
    public static String arguments(Step step) {
        String line = step.line();
        String rest = line.substring(step.type().name().length()).strip();
        return rest.isEmpty() ? step.type().shortFormula(step.arguments()) : rest.replace('-', Decimals.MINUS);
    }

    /** Returns the same for a narrow place: what is too long for a line goes on behind its "=", not in the middle of a word. */
    public static String narrow(String arguments) {
        return Arrays.stream(arguments.split(" ")).map(word -> word.length() > LONG_WORD ? broken(word) : word)
                .collect(Collectors.joining(" "));
    }

    private static String broken(String word) {
        int value = word.indexOf('=') + 1;
        // absolute-difference is too long for a line of its own.
        String parts = word.length() - value > LONG_VALUE ? word.substring(value).replaceFirst("(?<=\\p{L})[-−](?=\\p{L})", "$0\n")
                : word.substring(value);
        return word.substring(0, value) + (value > 0 ? "\n" : "") + parts;
    }

    public static String counts(Check check, int cells) {
        int notUnderstood = check.count(pixeron.byhand.Verdict.NOT_UNDERSTOOD);
        return check.filled() + " of " + cells + " filled · " + check.agree() + " agree · "
                + check.differing().size() + " differ" + (notUnderstood == 0 ? "" : " · " + notUnderstood
                        + " not valid");
    }

    /** Returns a place as the user counts: {@code row 2, column 5}. */
    public static String place(Pixel pixel, Display display) {
        return "row " + (pixel.row() + display.first()) + ", column " + (pixel.column() + display.first());
    }

    /** Returns what is lit and how much of it was found. */
    public static String lit(Shown.Lit lit) {
        return lit.pixels().map(pixels -> "Highlighted: " + lit.search().words() + ", " + pixels.count()
                + (pixels.count() == 1 ? " pixel" : " pixels")).orElse("▲ " + lit.problem());
    }

    /** Returns the value of a pixel, or those of all its channels. */
    public static String values(Result result, Pixel pixel) {
        return result.faces().stream().map(face -> Decimals.cell(face.image().value(pixel))).collect(Collectors.joining(" "));
    }

    public static Optional<Image> image(Optional<Described> described) {
        return described.map(Described::image);
    }

    /** Returns the mark of a value by hand: its shape says what its color says, the number how far off it is. */
    public static String mark(Verdict verdict, Optional<Value> difference) {
        return switch (verdict) {
            case AGREES -> "✓";
            case DIFFERS -> (difference.orElseThrow().signum() > 0 ? "▲" : "▼") + Decimals.approximate(difference.get().absolute());
            case NOT_ROUNDED -> "≈";
            case FOLLOWS -> "↳";
            case NOT_UNDERSTOOD -> "?";
        };
    }
}
