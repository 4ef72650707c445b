package pixeron.app.bench.parts;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.app.model.Display;
import pixeron.app.model.Shown;
import pixeron.byhand.Check;
import pixeron.byhand.Verdict;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Step;

/** The small texts that several parts of the window need, worded once. */
public final class Words {

    private static final int LONG_WORD = 16;

    private Words() {
    }

    /** @return size and levels of an image: {@code 8 × 8 · levels 0–7} */
    public static String size(Image image) {
        return image.rows() + " × " + image.columns() + " · "
                + (image.isLevelImage() ? "levels 0–" + image.maximumLevel() : "open, M = " + image.maximumLevel());
    }

    public static String range(ImageFacts facts) {
        return "min " + Decimals.approximate(facts.smallest()) + " · max " + Decimals.approximate(facts.largest())
                + " · mean " + oneDecimal(facts.mean());
    }

    /** @return the same for a narrow sheet */
    public static String shortRange(ImageFacts facts) {
        return Decimals.approximate(facts.smallest()) + " to " + Decimals.approximate(facts.largest()) + " · mean "
                + oneDecimal(facts.mean());
    }

    private static String oneDecimal(Value mean) {
        return String.format(java.util.Locale.ROOT, "%.1f", mean.asDouble()).replace('-', Decimals.MINUS);
    }

    /** @return the step's line without its name, or words for a step without keys */
    public static String arguments(Step step) {
        String line = step.line();
        String rest = line.substring(step.type().name().length()).strip();
        return rest.isEmpty() ? step.type().formula(step.arguments()) : rest.replace('-', Decimals.MINUS);
    }

    /** @return the same for a narrow place: what is too long for a line goes on behind its "=", not in the middle of a word */
    public static String narrow(String arguments) {
        return Arrays.stream(arguments.split(" ")).map(word -> word.length() > LONG_WORD ? word.replaceFirst("=", "=\n") : word)
                .collect(Collectors.joining(" "));
    }

    public static String counts(Check check, int cells) {
        int notUnderstood = check.count(pixeron.byhand.Verdict.NOT_UNDERSTOOD);
        return check.filled() + " of " + cells + " filled · " + check.agree() + " agree · "
                + check.differing().size() + " differ" + (notUnderstood == 0 ? "" : " · " + notUnderstood
                        + " not understood");
    }

    /** @return a place as the person counts: {@code row 2, column 5} */
    public static String place(Pixel pixel, Display display) {
        return "row " + (pixel.row() + display.first()) + ", column " + (pixel.column() + display.first());
    }

    /** @return the name of a channel of a colour picture, by its place; channels may well be equal */
    public static String channel(int place) {
        return List.of("red", "green", "blue", "alpha").get(place);
    }

    /** @return what is lit and how much of it was found */
    public static String lit(Shown.Lit lit) {
        return lit.pixels().map(pixels -> "Lit: " + lit.search().words() + ", " + pixels.count()
                + (pixels.count() == 1 ? " pixel" : " pixels")).orElse("▲ " + lit.problem());
    }

    public static Optional<Image> image(Optional<Shown.Described> described) {
        return described.map(Shown.Described::image);
    }

    /** @return the mark of a value by hand: its shape says what its colour says, the number how far off it is */
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
