package pixeron.number;

import pixeron.PixeronException;

/**
 * A finite double that represents a value which hand calculation does not get exactly: a root, a logarithm, a sine.
 *
 * @param asDouble the number, never infinite and never not-a-number
 */
public record Approximate(double asDouble) implements Value {

    /** Relative distance to a multiple of ½ below which a double is taken as that multiple. */
    private static final double NEAR = 1e-12;

    public Approximate {
        if (!Double.isFinite(asDouble)) {
            throw PixeronException.of("The value is not finite.");
        }
    }

    /**
     * Returns it as a value.
     *
     * @param number any double
     * @throws PixeronException if number is infinite or not a number
     */
    public static Approximate from(double number) {
        return new Approximate(number);
    }

    /**
     * Takes a double that lies within 10⁻¹²·max(scale, |number|) of a multiple of ½ as that multiple, so that the end
     * of a logarithm is M and not M − 10⁻¹⁵.
     *
     * @param number a finite double
     * @param scale the size of the numbers around it: M for samples, 1 within a formula
     * @return a Rational for a number near to a multiple of ½, else the double
     * @throws PixeronException if number is infinite or not a number
     */
    public static Value snapped(double number, double scale) {
        double twice = Math.rint(2 * number);
        boolean isNear = Math.abs(number - twice / 2) < NEAR * Math.max(scale, Math.abs(number));
        // Above 2^52 every double is whole; leaving those alone keeps the long conversion below exact.
        return isNear && Math.abs(twice) < 0x1p53 ? Rational.of((long) twice, 2) : from(number);
    }

    /** Returns the same as a double, for many numbers at once; never −0. */
    public static double snappedDouble(double number, double scale) {
        double half = Math.rint(2 * number) / 2;
        return Math.abs(number - half) < NEAR * Math.max(scale, Math.abs(number)) ? half + 0.0 : number;
    }

    /** Returns value, with a double near to a multiple of ½ taken as it; see {@link #snapped(double, double)}. */
    public static Value snapped(Value value, double scale) {
        return value instanceof Approximate a ? snapped(a.asDouble, scale) : value;
    }

    @Override
    public int signum() {
        return (int) Math.signum(asDouble);
    }

    @Override
    public Value negated() {
        return from(-asDouble);
    }

    @Override
    public boolean isWhole() {
        return asDouble == Math.rint(asDouble);
    }
}
