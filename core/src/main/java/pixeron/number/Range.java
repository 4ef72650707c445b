package pixeron.number;

/**
 * The numbers from one bound to another: the levels 0–M, or what a component of a color model can be.
 *
 * @param lower a; 0 for levels
 * @param upper b; M for levels
 * @param isCircle whether b is a again, as 360° is 0°
 */
public record Range(Rational lower, Rational upper, boolean isCircle) {

    /** Returns the levels 0–M. */
    public static Range ofLevels(int maximumLevel) {
        return new Range(Rational.ZERO, Rational.of(maximumLevel), false);
    }

    /** Returns a full circle from 0. */
    public static Range circle(Rational upper) {
        return new Range(Rational.ZERO, upper, true);
    }

    /** Returns whether it is 0–M. */
    public boolean isOfLevels(int maximumLevel) {
        return lower.signum() == 0 && upper.isInt() && upper.toInt() == maximumLevel;
    }

    /** Returns whether a number is neither below nor above it. */
    public boolean contains(Value number) {
        return number.compareValue(lower) >= 0 && number.compareValue(upper) <= 0;
    }

    /** Returns by how much a number that wraps around changes: b − a on a circle, else b − a + 1. */
    public Rational period() {
        Rational size = upper.minus(lower);
        return isCircle ? size : size.plus(Rational.ONE);
    }

    /** Returns the nearest number of it. */
    public Value clipped(Value number) {
        return number.compareValue(lower) < 0 ? lower : number.compareValue(upper) > 0 ? upper : number;
    }

    /** Returns a + (number − a) mod the {@link #period}. */
    public Value wrapped(Value number) {
        Rational period = period();
        if (number instanceof Rational exact) {
            Rational above = exact.minus(lower);
            return lower.plus(above.minus(above.dividedBy(period).floor().times(period)));
        }
        double above = number.asDouble() - lower.asDouble();
        double size = period.asDouble();
        return Approximate.snapped(lower.asDouble() + above - size * Math.floor(above / size), Math.max(size, 1));
    }

    /** Returns both bounds with a dash between them: {@code 0–255}, {@code −50 to 50} where one is negative. */
    public String text() {
        return Decimals.working(lower) + (lower.signum() < 0 ? " to " : "–") + Decimals.working(upper);
    }
}
