package pixeron.exercise.quiz;

import java.util.List;
import java.util.OptionalInt;
import pixeron.exercise.SlipValues;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * A box of a quiz that takes one number.
 *
 * @param id names it within its variant, such as {@code P1R0C2}
 * @param correct its value
 * @param tolerance how far a number may be from the correct value and still count; 0 for whole numbers
 * @param slips the values of known slips, none of them within the tolerance, the first of each value
 * @param place where it is, such as "row 0, column 2"
 * @param decimals that a fraction is typed with; empty for the usual number
 */
record Field(String id, Value correct, Rational tolerance, List<SlipValues.SlipValue> slips, String place, OptionalInt decimals) {

    /** Decimals that a fraction is typed with where the exercise sets no number of them. */
    private static final int USUAL_DECIMALS = 2;

    /**
     * @param slips different values
     * @param decimals of the exercise, see {@link pixeron.exercise.Wish#decimals}
     */
    static Field of(String id, Value correct, List<SlipValues.SlipValue> slips, String place, OptionalInt decimals) {
        Rational tolerance = tolerance(correct, decimals);
        return new Field(id, correct, tolerance, slips.stream().filter(slip -> !isNear(slip.value(), correct, tolerance)).toList(), place, decimals);
    }

    /** Returns how far a number may be from the value of a slip and still be answered with it. */
    Rational slipTolerance(SlipValues.SlipValue slip) {
        return tolerance(slip.value(), decimals);
    }

    /** Returns half a unit of the last decimal that is typed; 0 for a whole number. */
    private static Rational tolerance(Value value, OptionalInt decimals) {
        return value.isWhole() ? Rational.ZERO : Rational.HALF.dividedBy(Rational.of(10).power(decimals.orElse(USUAL_DECIMALS)));
    }

    private static boolean isNear(Value one, Value other, Rational tolerance) {
        return one instanceof Rational a && other instanceof Rational b ? a.minus(b).absolute().compareTo(tolerance) <= 0
                : Math.abs(one.asDouble() - other.asDouble()) <= tolerance.asDouble();
    }
}
