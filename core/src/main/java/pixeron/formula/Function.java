package pixeron.formula;

import java.math.BigInteger;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;

/** The functions of an expression; {@code if} is {@link Expression.Choice}, because it computes one branch only. */
public enum Function {
    MIN(1, Integer.MAX_VALUE), MAX(1, Integer.MAX_VALUE), ABS(1, 1), FLOOR(1, 1), CEILING(1, 1), ROUND(1, 1),
    SQRT(1, 1), LN(1, 1), LOG2(1, 1), LOG10(1, 1), EXP(1, 1), SIN(1, 1), COS(1, 1), MOD(2, 2),
    /** The angle of (x, y) in degrees, above −180 up to 180. Steps have it, a formula that is typed has not. */
    ANGLE(2, 2),
    /** Binary digits of whole numbers from 0 on, one with the other; likewise for steps only. */
    AND(2, 2), OR(2, 2), XOR(2, 2);

    private final int fewest;
    private final int most;

    Function(int fewest, int most) {
        this.fewest = fewest;
        this.most = most;
    }

    /** Returns the name in an expression. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    static Optional<Function> named(String word) {
        return Arrays.stream(values()).filter(f -> f.compareTo(ANGLE) < 0 && f.word().equals(word)).findFirst();
    }

    /** Returns whether it is between its two arguments, such as and. */
    boolean isOfDigits() {
        return compareTo(AND) >= 0;
    }

    boolean takes(int count) {
        return count >= fewest && count <= most;
    }

    /** Returns how many arguments there must be, in words. */
    String arity() {
        return most > fewest ? "one or more values" : fewest == 1 ? "one value" : "two values";
    }

    /**
     * Returns the value.
     *
     * @param arguments as many as {@link #takes} allows
     * @throws PixeronException where there is none: ln of 0 or less, root of less than 0, mod by 0
     */
    Value apply(List<Value> arguments) {
        Value a = arguments.get(0);
        return switch (this) {
            case MIN -> arguments.stream().min(Comparator.comparing(v -> v, Value::compareValue)).orElseThrow();
            case MAX -> arguments.stream().max(Comparator.comparing(v -> v, Value::compareValue)).orElseThrow();
            case ABS -> a.absolute();
            case FLOOR -> Rounding.FLOOR.apply(a);
            case CEILING -> Rounding.CEILING.apply(a);
            case ROUND -> Rounding.NEAREST.apply(a);
            case SQRT -> Approximate.from(Math.sqrt(required(a, a.signum() >= 0)));
            case LN -> Approximate.from(Math.log(required(a, a.signum() > 0)));
            case LOG2 -> Approximate.from(Math.log(required(a, a.signum() > 0)) / Math.log(2));
            case LOG10 -> Approximate.from(Math.log10(required(a, a.signum() > 0)));
            case EXP -> Approximate.from(Math.exp(a.asDouble()));
            case SIN -> Approximate.from(Math.sin(a.asDouble()));
            case COS -> Approximate.from(Math.cos(a.asDouble()));
            case MOD -> mod(a, arguments.get(1));
            case ANGLE -> angle(a.asDouble(), arguments.get(1).asDouble());
            case AND -> Rational.of(digits(a).and(digits(arguments.get(1))), BigInteger.ONE);
            case OR -> Rational.of(digits(a).or(digits(arguments.get(1))), BigInteger.ONE);
            case XOR -> Rational.of(digits(a).xor(digits(arguments.get(1))), BigInteger.ONE);
        };
    }

    private double required(Value argument, boolean isInDomain) {
        if (!isInDomain) {
            throw withoutValue("%s(%s)", word(), Decimals.working(argument));
        }
        return argument.asDouble();
    }

    private BigInteger digits(Value number) {
        if (number instanceof Rational whole && whole.isWhole() && whole.signum() >= 0) {
            return whole.numerator();
        }
        throw PixeronException.of("%s needs whole numbers of at least 0, but one value is %s.", word(), Decimals.working(number));
    }

    private static Value angle(double x, double y) {
        return Approximate.from(degrees(x, y));
    }

    /** Returns the angle of (x, y) in degrees, above −180 up to 180. */
    public static double degrees(double x, double y) {
        // A double of −0 would turn 180° into −180°; adding 0 makes it 0.
        return Math.toDegrees(Math.atan2(y + 0.0, x + 0.0));
    }

    private static Value mod(Value a, Value b) {
        if (b.signum() == 0) {
            throw withoutValue("mod(%s, 0)", Decimals.working(a));
        }
        return a.minus(b.times(Rounding.FLOOR.apply(a.dividedBy(b))));
    }

    static PixeronException withoutValue(String pattern, Object... values) {
        return PixeronException.of("%s has no value.", String.format(pattern, values));
    }
}
