package pixeron.step;

import java.util.ArrayList;
import java.util.List;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Overflow;
import pixeron.number.Range;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * The end of every step: exact value → rounding → overflow.
 *
 * @param rounding first
 * @param overflow then
 * @param maximumLevel M of the result
 * @param range where values of the result belong
 */
public record Finish(Rounding rounding, Overflow overflow, int maximumLevel, Range range) {

    /** Far more than a double of this size is snapped by. */
    private static final double CLOSE = 1e-5;
    private static final double MOST_QUICK = 1e5;
    private static final double HALF = 0.5;
    /** By so much of its size a double is snapped, and a little more. */
    private static final double SNAPPED = 1.1e-12;

    /** Creates the end of a step whose results belong into 0–M. */
    public Finish(Rounding rounding, Overflow overflow, int maximumLevel) {
        this(rounding, overflow, maximumLevel, Range.ofLevels(maximumLevel));
    }

    /** Returns the end of a step with results in this frame. */
    public static Finish of(Step step, Frame frame) {
        return new Finish(step.rounding(), step.overflow(), frame.maximumLevel(), frame.range());
    }

    /** Returns the same with another overflow rule. */
    public Finish with(Overflow other) {
        return new Finish(rounding, other, maximumLevel, range);
    }

    /** Returns whether values belong into 0–M and wrap around mod M + 1, as levels do. */
    public boolean isOfLevels() {
        return range.isOfLevels(maximumLevel) && !(range.isCircle() && overflow == Overflow.WRAP);
    }

    /** Returns the value that is written for an exact value. */
    public Value apply(Value exact) {
        if (exact instanceof Rational whole && Image.isLevel(whole, maximumLevel) && isOfLevels()) {
            // Whatever the rounding and the overflow, a level stays.
            return whole;
        }
        return overflow.apply(rounding.apply(Approximate.snapped(exact, maximumLevel)), range);
    }

    /** Returns whether every result is a level: rounded, and clipped or wrapped. */
    public boolean isToLevels() {
        return rounding != Rounding.NONE && overflow != Overflow.KEEP && isOfLevels();
    }

    /** Returns the level that is written, where {@link #isToLevels}. */
    public int level(Value exact) {
        return ((Rational) apply(exact)).toInt();
    }

    /**
     * Away from whole numbers and halves it is sure without a fraction how a double is rounded.
     *
     * @param exact a double that is as good as a multiple of ½ where it is near to one
     * @param scale the size of the numbers around it
     * @return the level that is written, where {@link #isToLevels}
     */
    public int level(double exact, double scale) {
        double known = Approximate.snappedDouble(exact, scale);
        int whole = (int) known;
        if (whole == known && whole >= 0 && whole <= maximumLevel) {
            return whole;
        }
        double floor = Math.floor(known);
        double rest = known - floor;
        boolean isQuick = Math.abs(known) < MOST_QUICK && scale < MOST_QUICK;
        boolean isSure = rest > CLOSE && rest < 1 - CLOSE && Math.abs(rest - HALF) > CLOSE;
        return isQuick && (rest == 0 || rest == HALF) ? level(2 * (long) floor + (rest == 0 ? 0 : 1), 2)
                : isQuick && isSure ? level(4 * (long) floor + (rest < HALF ? 1 : 3), 4) : level(Approximate.snapped(exact, scale));
    }

    /**
     * Returns the level that is written, where {@link #isToLevels}; unknown where the value may lie on both sides of a whole number or of a half.
     *
     * @param near a double near the exact value
     * @param error how far that may be from it
     * @param unknown the text where it is not certain
     */
    public int level(double near, double error, int unknown) {
        double bound = error + SNAPPED * Math.max(maximumLevel, Math.abs(near));
        double least = 2 * (near - bound);
        double halves = Math.floor(least);
        if (!(Math.abs(near) < MOST_QUICK) || least == halves || halves != Math.floor(2 * (near + bound))) {
            return unknown;
        }
        // Between two halves every value is rounded alike.
        return level(2 * (long) halves + 1, 4);
    }

    /**
     * Returns the level that is written for numerator ÷ denominator, where {@link #isToLevels}.
     *
     * @param denominator greater than 0
     */
    public int level(long numerator, long denominator) {
        return overflow.apply(rounding.apply(numerator, denominator), maximumLevel);
    }

    /** Returns −1 when the rounded value is below the range (0–M), 1 when it is above it, else 0. */
    public int side(Value exact) {
        Value rounded = rounding.apply(Approximate.snapped(exact, maximumLevel));
        return rounded.compareValue(range.lower()) < 0 ? -1 : rounded.compareValue(range.upper()) > 0 ? 1 : 0;
    }

    /** Returns the lines for rounding and overflow of an exact value. */
    public List<Line> explain(Value exact) {
        Value snapped = Approximate.snapped(exact, maximumLevel);
        Value rounded = rounding.apply(snapped);
        Value result = overflow.apply(rounded, range);
        List<Line> lines = new ArrayList<>();
        lines.add(roundingLine(snapped, rounded, rounded.equals(result)));
        lines.add(overflowLine(rounded, result));
        return lines;
    }

    /** Does the last lines of a loop with the value before rounding, which is called s. */
    public void follow(LoopWriter out, Value exact) {
        Value snapped = Approximate.snapped(exact, maximumLevel);
        Value rounded = rounding.apply(snapped);
        if (rounding != Rounding.NONE) {
            out.set("s", rounded).line(0, "s ← s " + rounding.sentence());
        }
        Value result = overflow.apply(rounded, range);
        if (overflow != Overflow.KEEP) {
            out.set("s", result).line(0, overflow == Overflow.CLIP ? "s ← s clipped to " + range.text() : "s ← " + wrapping());
        }
        out.set("after[i][j]", result).line(0, "after[i][j] ← s");
    }

    private Line roundingLine(Value exact, Value rounded, boolean isResult) {
        if (rounding == Rounding.NONE) {
            return Line.of("round", last(rounded, isResult), Run.note("   not rounded"));
        } else if (exact.isWhole()) {
            return Line.of("round", last(rounded, isResult), Run.note("   already whole"));
        }
        return Line.of("round", Run.plain(Decimals.working(exact) + " → "), last(rounded, isResult),
                Run.note("   " + rounding.sentence()));
    }

    private Line overflowLine(Value rounded, Value result) {
        if (rounded.equals(result)) {
            return Line.of("overflow", Run.note(range.contains(rounded) ? "within " + range.text() + ", nothing " + participle()
                    : "outside " + range.text() + ", kept as it is"));
        }
        String lower = Decimals.working(range.lower());
        String why = overflow == Overflow.CLIP
                ? (rounded.compareValue(range.lower()) < 0 ? "below " + lower + ", clipped to " + lower : "above " + Decimals.working(range.upper()) + ", clipped to it")
                : wrapping().replaceFirst("^s", "value") + ", wrapped";
        return Line.of("overflow", Run.plain(Decimals.working(rounded) + " → "),
                Run.after(Decimals.working(result)), Run.note("   " + why));
    }

    /** The wrapped value of s in words, such as s mod 256. */
    private String wrapping() {
        String mod = " mod " + Decimals.working(range.period());
        String lower = Decimals.working(range.lower().negated());
        return range.lower().signum() == 0 ? "s" + mod : "(s + " + lower + ")" + mod + " − " + lower;
    }

    private String participle() {
        return overflow == Overflow.WRAP ? "wrapped" : "clipped";
    }

    private static Run last(Value value, boolean isResult) {
        String text = Decimals.working(value);
        return isResult ? Run.after(text) : Run.plain(text);
    }
}
