package pixeron.formula;

import pixeron.PixeronException;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/** The operators between two values, weakest binding first. */
public enum Operator {
    LESS("<", 1), GREATER(">", 1), AT_MOST("≤", 1), AT_LEAST("≥", 1), EQUAL("=", 1), NOT_EQUAL("≠", 1),
    ADD("+", 2), SUBTRACT("\u2212", 2),
    MULTIPLY("×", 3), DIVIDE("÷", 3),
    POWER("^", 5);

    private final String sign;
    private final int precedence;

    Operator(String sign, int precedence) {
        this.sign = sign;
        this.precedence = precedence;
    }

    /** Returns the typeset sign. */
    public String sign() {
        return sign;
    }

    int precedence() {
        return precedence;
    }

    /** Returns a limit that counts where this leaves it out, or back: &lt; and ≤, &gt; and ≥; others stay. */
    public Operator withOrWithoutEqual() {
        return switch (this) {
            case LESS -> AT_MOST;
            case AT_MOST -> LESS;
            case GREATER -> AT_LEAST;
            case AT_LEAST -> GREATER;
            default -> this;
        };
    }

    boolean isComparison() {
        return precedence == 1;
    }

    /**
     * Returns left operator right; a comparison gives 1 or 0.
     *
     * @throws PixeronException where there is no value: division by 0, a power of 0 below 0, a root of a negative
     *     number
     */
    Value apply(Value left, Value right) {
        return switch (this) {
            case LESS -> truth(left.compareValue(right) < 0);
            case GREATER -> truth(left.compareValue(right) > 0);
            case AT_MOST -> truth(left.compareValue(right) <= 0);
            case AT_LEAST -> truth(left.compareValue(right) >= 0);
            case EQUAL -> truth(left.compareValue(right) == 0);
            case NOT_EQUAL -> truth(left.compareValue(right) != 0);
            case ADD -> left.plus(right);
            case SUBTRACT -> left.minus(right);
            case MULTIPLY -> left.times(right);
            case DIVIDE -> left.dividedBy(right);
            case POWER -> power(left, right);
        };
    }

    private static Value truth(boolean holds) {
        return holds ? Rational.ONE : Rational.ZERO;
    }

    private static Value power(Value base, Value exponent) {
        if (base.signum() == 0 && exponent.signum() < 0) {
            throw Function.withoutValue("0^%s", Decimals.working(exponent));
        }
        if (base instanceof Rational b && exponent instanceof Rational e && e.isInt()) {
            return b.power(e.toInt());
        }
        if (base.signum() < 0 && !exponent.isWhole()) {
            throw Function.withoutValue("(%s)^%s", Decimals.working(base), Decimals.working(exponent));
        }
        return Approximate.from(Math.pow(base.asDouble(), exponent.asDouble()));
    }
}
