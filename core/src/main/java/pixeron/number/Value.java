package pixeron.number;

import java.util.List;

/**
 * A number of the job: exact ({@link Rational}) or a double ({@link Approximate}).
 *
 * <p>Arithmetic between two exact values is exact. As soon as one side is approximate the result is, with one
 * exception that the callers apply: {@link Approximate#snapped} turns a double very near to a multiple of ½ into it.
 */
public sealed interface Value permits Rational, Approximate {

    /** Returns the nearest double. */
    double asDouble();

    /** Returns −1, 0 or 1. */
    int signum();

    /** Returns −this. */
    Value negated();

    /** Returns true for a whole number. */
    boolean isWhole();

    /** Returns true when no double was involved. */
    default boolean isExact() {
        return this instanceof Rational;
    }

    /** Returns |this|. */
    default Value absolute() {
        return signum() < 0 ? negated() : this;
    }

    /** Returns this + other. */
    default Value plus(Value other) {
        return this instanceof Rational a && other instanceof Rational b
                ? a.plus(b) : Approximate.from(asDouble() + other.asDouble());
    }

    /** Returns the sum of all, exact where all are. */
    static Value sum(List<Value> all) {
        return all.stream().allMatch(Rational.class::isInstance) ? Rational.sum(all.stream().map(Rational.class::cast).toList())
                : all.stream().reduce(Rational.ZERO, Value::plus);
    }

    /** Returns this − other. */
    default Value minus(Value other) {
        return plus(other.negated());
    }

    /** Returns this × other. */
    default Value times(Value other) {
        return this instanceof Rational a && other instanceof Rational b
                ? a.times(b) : Approximate.from(asDouble() * other.asDouble());
    }

    /**
     * Returns this ÷ other.
     *
     * @throws pixeron.PixeronException if other = 0
     */
    default Value dividedBy(Value other) {
        if (other.signum() == 0) {
            throw Rational.divisionByZero();
        }
        return this instanceof Rational a && other instanceof Rational b
                ? a.dividedBy(b) : Approximate.from(asDouble() / other.asDouble());
    }

    /** Returns negative, 0 or positive as this is less than, equal to or greater than other. */
    default int compareValue(Value other) {
        return this instanceof Rational a && other instanceof Rational b
                ? a.compareTo(b) : Double.compare(asDouble(), other.asDouble());
    }
}
