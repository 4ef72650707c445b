package pixeron.formula;

import java.util.Optional;
import java.util.function.BiPredicate;
import java.util.function.IntPredicate;
import java.util.function.LongBinaryOperator;
import java.util.function.ToIntFunction;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * An expression made ready to be evaluated very often without objects: exactly, as numerators over denominators in longs. Where it gives a value it
 * is that of {@link Compiled}; where numbers become too long, or are no fractions, it gives none. For one thread: parts keep room for their values.
 */
@FunctionalInterface
public interface InLongs {

    /** Longer ones are reduced; two of this length still make a product that fits. */
    long LONG = 1L << 31;
    /** No numerator and no denominator is longer: the sum of two of them fits. */
    long LONGEST = 1L << 61;

    /** A fraction that is written over again and again; one for each thread. Not reduced; the denominator is above 0. */
    final class Slot {

        private static final int MOST_TIMES = 16;

        private long numerator;
        private long denominator = 1;

        public long numerator() {
            return numerator;
        }

        public long denominator() {
            return denominator;
        }

        boolean set(long top, long below) {
            numerator = top;
            denominator = below;
            if (top > LONG || top < -LONG || below > LONG) {
                long common = Rational.gcd(Math.abs(top), below);
                numerator = top / common;
                denominator = below / common;
            }
            return numerator <= LONGEST && numerator >= -LONGEST && denominator <= LONGEST;
        }

        private boolean set(Slot other) {
            return set(other.numerator, other.denominator);
        }

        private boolean times(long top, long below) {
            return fits(numerator, top) && fits(denominator, below) && set(numerator * top, denominator * below);
        }

        private boolean plus(long top, long below) {
            return fits(numerator, below) && fits(top, denominator) && fits(denominator, below) && set(numerator * below + top * denominator, denominator * below);
        }

        private boolean power(Slot exponent) {
            if (exponent.denominator != 1 || exponent.numerator < 0 || exponent.numerator > MOST_TIMES) {
                return false;
            }
            long top = numerator;
            long below = denominator;
            boolean fits = set(1, 1);
            for (long n = 0; n < exponent.numerator && fits; n++) {
                fits = times(top, below);
            }
            return fits;
        }

        /** Returns whether both products of a comparison fit, so that {@link #compare} says which is larger. */
        private boolean isComparable(Slot other) {
            return fits(numerator, other.denominator) && fits(other.numerator, denominator);
        }

        private int compare(Slot other) {
            return Long.compare(numerator * other.denominator, other.numerator * denominator);
        }

        private static boolean fits(long a, long b) {
            long product = a * b;
            return Math.multiplyHigh(a, b) == product >> Long.SIZE - 1 && product <= LONGEST && product >= -LONGEST;
        }
    }

    /**
     * Returns whether there is one.
     *
     * @param numerators of the variables, at the places that they were given
     * @param denominators of them, above 0
     * @param out the value; anything where there is none
     */
    boolean at(long[] numerators, long[] denominators, Slot out);

    /**
     * Returns empty where a part of the expression has fractions never, or too seldom.
     *
     * @param place where the numbers of a variable will stand
     */
    static Optional<InLongs> of(Expression expression, ToIntFunction<String> place) {
        if (expression instanceof Expression.Literal literal) {
            return literal.value() instanceof Rational number && fits(number) ? Optional.of(constant(number)) : Optional.empty();
        } else if (expression instanceof Expression.Variable variable) {
            int at = place.applyAsInt(variable.name());
            return Optional.of((numerators, denominators, out) -> out.set(numerators[at], denominators[at]));
        } else if (expression instanceof Expression.Negation negation) {
            return of(negation.operand(), place).map(operand -> (numerators, denominators, out) -> operand.at(numerators, denominators, out)
                    && out.set(-out.numerator, out.denominator));
        } else if (expression instanceof Expression.Binary binary) {
            return of(binary.left(), place).flatMap(left -> of(binary.right(), place).flatMap(right -> of(binary.operator(), left, right)));
        } else if (expression instanceof Expression.Call call) {
            return of(call, place);
        }
        Expression.Choice choice = (Expression.Choice) expression;
        return of(choice.condition(), place).flatMap(condition -> of(choice.then(), place).flatMap(then -> of(choice.otherwise(), place).map(otherwise ->
                (numerators, denominators, out) -> condition.at(numerators, denominators, out)
                        && (out.numerator != 0 ? then : otherwise).at(numerators, denominators, out))));
    }

    /** Returns whether a number can be a variable's. */
    static boolean fits(Value value) {
        return value instanceof Rational number && number.numerator().bitLength() <= 60 && number.denominator().bitLength() <= 60;
    }

    private static InLongs constant(Rational number) {
        long numerator = number.numerator().longValue();
        long denominator = number.denominator().longValue();
        return (numerators, denominators, out) -> out.set(numerator, denominator);
    }

    private static InLongs of(InLongs left, InLongs right, BiPredicate<Slot, Slot> operator) {
        Slot other = new Slot();
        return (numerators, denominators, out) -> left.at(numerators, denominators, out) && right.at(numerators, denominators, other) && operator.test(out, other);
    }

    private static Optional<InLongs> of(Operator operator, InLongs left, InLongs right) {
        return Optional.of(switch (operator) {
            case ADD -> (BiPredicate<Slot, Slot>) (a, b) -> a.plus(b.numerator, b.denominator);
            case SUBTRACT -> (BiPredicate<Slot, Slot>) (a, b) -> a.plus(-b.numerator, b.denominator);
            case MULTIPLY -> (BiPredicate<Slot, Slot>) (a, b) -> a.times(b.numerator, b.denominator);
            case DIVIDE -> (BiPredicate<Slot, Slot>) (a, b) -> b.numerator != 0 && a.times(Long.signum(b.numerator) * b.denominator, Math.abs(b.numerator));
            case POWER -> (BiPredicate<Slot, Slot>) Slot::power;
            case LESS -> truth(sign -> sign < 0);
            case GREATER -> truth(sign -> sign > 0);
            case AT_MOST -> truth(sign -> sign <= 0);
            case AT_LEAST -> truth(sign -> sign >= 0);
            case EQUAL -> truth(sign -> sign == 0);
            case NOT_EQUAL -> truth(sign -> sign != 0);
        }).map(two -> of(left, right, two));
    }

    private static BiPredicate<Slot, Slot> truth(IntPredicate holds) {
        return (a, b) -> a.isComparable(b) && a.set(holds.test(a.compare(b)) ? 1 : 0, 1);
    }

    private static Optional<InLongs> of(Expression.Call call, ToIntFunction<String> place) {
        InLongs[] arguments = new InLongs[call.arguments().size()];
        for (int n = 0; n < arguments.length; n++) {
            Optional<InLongs> argument = of(call.arguments().get(n), place);
            if (argument.isEmpty()) {
                return Optional.empty();
            }
            arguments[n] = argument.get();
        }
        InLongs first = arguments[0];
        return switch (call.function()) {
            case MIN, MAX -> {
                int wanted = call.function() == Function.MIN ? -1 : 1;
                InLongs all = first;
                for (int n = 1; n < arguments.length; n++) {
                    all = of(all, arguments[n], (a, b) -> a.isComparable(b) && (Integer.signum(b.compare(a)) != wanted || a.set(b)));
                }
                yield Optional.of(all);
            }
            case ABS -> Optional.of((numerators, denominators, out) -> first.at(numerators, denominators, out) && out.set(Math.abs(out.numerator), out.denominator));
            case FLOOR -> Optional.of((numerators, denominators, out) -> first.at(numerators, denominators, out) && out.set(Math.floorDiv(out.numerator, out.denominator), 1));
            case CEILING -> Optional.of((numerators, denominators, out) -> first.at(numerators, denominators, out) && out.set(-Math.floorDiv(-out.numerator, out.denominator), 1));
            case AND -> Optional.of(ofDigits(first, arguments[1], (a, b) -> a & b));
            case OR -> Optional.of(ofDigits(first, arguments[1], (a, b) -> a | b));
            case XOR -> Optional.of(ofDigits(first, arguments[1], (a, b) -> a ^ b));
            default -> Optional.empty();
        };
    }

    private static InLongs ofDigits(InLongs left, InLongs right, LongBinaryOperator operator) {
        return of(left, right, (a, b) -> a.denominator == 1 && b.denominator == 1 && a.numerator >= 0 && b.numerator >= 0
                && a.set(operator.applyAsLong(a.numerator, b.numerator), 1));
    }
}
