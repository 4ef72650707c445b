package pixeron.step.key;

import java.math.BigInteger;
import pixeron.number.Rational;

/**
 * The numbers that a user tries out for a key, from one end to the other in steps. A key may have others as well.
 *
 * @param least first of them
 * @param most last of them, above the first
 * @param step from one to the next, above 0
 * @param isOfLevels whether least and most are in parts of the maximum level M
 */
public record Span(Rational least, Rational most, Rational step, boolean isOfLevels) {

    /** Numbers that do not depend on the image. */
    public static Span of(Rational least, Rational most, Rational step) {
        return new Span(least, most, step, false);
    }

    /** Whole numbers. */
    public static Span of(long least, long most) {
        return of(Rational.of(least), Rational.of(most), Rational.ONE);
    }

    /** Numbers in steps of a fraction of 1. */
    public static Span of(long least, long most, long stepsInOne) {
        return of(Rational.of(least), Rational.of(most), Rational.of(1, stepsInOne));
    }

    /** Levels from and to a part of M, such as −1 and 1. */
    public static Span ofLevels(long least, long most) {
        return new Span(Rational.of(least), Rational.of(most), Rational.ONE, true);
    }

    /** Returns this for an image with a maximum level. */
    public Span on(int maximumLevel) {
        Rational maximum = Rational.of(maximumLevel);
        return isOfLevels ? of(least.times(maximum), most.times(maximum), step) : this;
    }

    /** Returns the number of steps from one end to the other, at least 1. */
    public int steps() {
        Rational steps = most.minus(least).dividedBy(step);
        return Math.max(1, steps.numerator().divide(steps.denominator()).min(BigInteger.valueOf(Integer.MAX_VALUE)).intValue());
    }

    /** Returns the number at a step, from 0 to {@link #steps}. */
    public Rational at(int place) {
        return least.plus(step.times(Rational.of(Math.max(0, Math.min(steps(), place)))));
    }

    /** Returns the step nearest to a number; the first or the last for numbers beyond. */
    public int place(Rational number) {
        double place = (number.asDouble() - least.asDouble()) / step.asDouble();
        return (int) Math.max(0, Math.min(steps(), Math.rint(place)));
    }
}
