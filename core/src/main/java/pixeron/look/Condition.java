package pixeron.look;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.formula.Trace;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Progress;

/**
 * A condition on a pixel, such as {@code r < 5} or {@code r = max}: a formula over the sample r, its place i, j (y, x),
 * the size H, W, N, the levels M, L, and min, max, mean of the image. A pixel meets it when its value is not 0.
 *
 * <p>Cost: one value for each level where only r changes, else one for each pixel.
 */
public final class Condition {

    private static final Set<String> PLACES = Set.of("i", "j", "x", "y");
    private static final Set<String> NAMES = Set.of("r", "i", "j", "x", "y", "M", "L", "N", "H", "W", "min", "max",
            "mean");

    private final String text;
    private final Expression formula;

    private Condition(String text, Expression formula) {
        this.text = text;
        this.formula = formula;
    }

    /**
     * Parses a condition.
     *
     * @param text such as {@code r < 5}
     * @throws PixeronException if it is no formula over these names
     */
    public static Condition parse(String text) {
        return new Condition(text.strip(), Parser.parse(text, NAMES));
    }

    /**
     * Returns the pixels that meet the condition.
     *
     * @param facts of the image
     * @param progress receives the progress
     * @throws PixeronException if the formula has no value at some pixel; names it
     */
    public PixelSet find(Image image, ImageFacts facts, Progress progress) {
        Map<String, Value> known = new HashMap<>(Map.of("M", Rational.of(image.maximumLevel()),
                "L", Rational.of(image.maximumLevel() + 1), "N", Rational.of(image.count()),
                "H", Rational.of(image.rows()), "W", Rational.of(image.columns()),
                "min", facts.smallest(), "max", facts.largest(), "mean", facts.mean()));
        boolean[] hasPlace = {false};
        Trace.substitute(formula, name -> {
            hasPlace[0] |= PLACES.contains(name);
            return null;
        });
        if (image.isLevelImage() && !hasPlace[0]) {
            return byLevel(image, known);
        }
        return PixelSet.of(image, n -> {
            if (n % image.columns() == 0) {
                progress.report((double) n / image.count());
            }
            known.put("r", image.value(n));
            known.put("i", Rational.of(n / image.columns()));
            known.put("y", known.get("i"));
            known.put("j", Rational.of(n % image.columns()));
            known.put("x", known.get("j"));
            return holds(known, image, n);
        });
    }

    /** 1: holds, −1: does not, 0: not asked yet. Levels that do not occur are never asked, they may have no value. */
    private PixelSet byLevel(Image image, Map<String, Value> known) {
        byte[] answers = new byte[image.maximumLevel() + 1];
        return PixelSet.of(image, n -> {
            int level = image.level(n);
            if (answers[level] == 0) {
                known.put("r", Rational.of(level));
                answers[level] = (byte) (holds(known, image, n) ? 1 : -1);
            }
            return answers[level] > 0;
        });
    }

    private boolean holds(Map<String, Value> known, Image image, int offset) {
        try {
            return Evaluator.evaluate(formula, known::get).signum() != 0;
        } catch (PixeronException withoutValue) {
            throw PixeronException.because(withoutValue, "At %s: %s", image.pixel(offset), withoutValue.getMessage());
        }
    }

    @Override
    public String toString() {
        return text;
    }
}
