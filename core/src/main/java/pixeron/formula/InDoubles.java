package pixeron.formula;

import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToIntFunction;
import pixeron.number.Approximate;

/**
 * An expression made ready to be evaluated very often as doubles, with a bound of how far each is from the value of {@link Compiled}: away from the
 * places where rounding changes that is enough. For one thread: parts keep room for their values.
 */
@FunctionalInterface
public interface InDoubles {

    /** Larger exponents are left to exact values. */
    int MOST_TIMES = 64;

    /** A double and how far it may be from the value; written over again and again. */
    final class Slot {

        /** Values that are nearly multiples of ½ are taken as these on the way, and doubles end somewhere. */
        private static final double NEAR = 1.1e-12;

        private double value;
        private double error;

        public double value() {
            return value;
        }

        /** Returns how far the value of the expression may be from this, at most. */
        public double error() {
            return error;
        }

        boolean set(double known, double bound) {
            value = known;
            error = bound + NEAR * Math.max(1, Math.abs(known));
            // Also false for numbers that are none.
            return error < Double.MAX_VALUE;
        }

        private boolean exactly(double known) {
            value = known;
            error = 0;
            return true;
        }
    }

    /**
     * Returns whether there is one.
     *
     * @param numbers of the variables, at the places that they were given
     * @param out the value and its bound; anything where there is none
     */
    boolean at(double[] numbers, Slot out);

    /** What becomes of two values; false where that is not known well enough. */
    @FunctionalInterface
    interface Two {
        boolean apply(Slot left, Slot right);
    }

    /**
     * Returns empty where a part of the expression is none for doubles.
     *
     * @param place where the numbers of a variable will stand
     */
    static Optional<InDoubles> of(Expression expression, ToIntFunction<String> place) {
        if (expression instanceof Expression.Literal literal) {
            double number = literal.value().asDouble();
            return Optional.of((numbers, out) -> out.set(number, 0));
        } else if (expression instanceof Expression.Variable variable) {
            int at = place.applyAsInt(variable.name());
            return Optional.of((numbers, out) -> out.set(numbers[at], 0));
        } else if (expression instanceof Expression.Negation negation) {
            return of(negation.operand(), place).map(operand -> (numbers, out) -> operand.at(numbers, out) && out.set(-out.value, out.error));
        } else if (expression instanceof Expression.Binary binary) {
            return of(binary.left(), place).flatMap(left -> of(binary.right(), place).map(right -> of(left, right, of(binary.operator()))));
        } else if (expression instanceof Expression.Call call) {
            return of(call, place);
        }
        Expression.Choice choice = (Expression.Choice) expression;
        return of(choice.condition(), place).flatMap(condition -> of(choice.then(), place).flatMap(then -> of(choice.otherwise(), place).map(otherwise ->
                (numbers, out) -> condition.at(numbers, out) && (out.error == 0 || Math.abs(out.value) > out.error) && (out.value != 0 ? then : otherwise).at(numbers, out))));
    }

    private static InDoubles of(InDoubles left, InDoubles right, Two operator) {
        Slot other = new Slot();
        return (numbers, out) -> left.at(numbers, out) && right.at(numbers, other) && operator.apply(out, other);
    }

    private static Two of(Operator operator) {
        return switch (operator) {
            case ADD -> (a, b) -> a.set(a.value + b.value, a.error + b.error);
            case SUBTRACT -> (a, b) -> a.set(a.value - b.value, a.error + b.error);
            case MULTIPLY -> (a, b) -> a.set(a.value * b.value, Math.abs(a.value) * b.error + Math.abs(b.value) * a.error + a.error * b.error);
            case DIVIDE -> (a, b) -> {
                double least = Math.abs(b.value) - b.error;
                double quotient = a.value / b.value;
                return least > 0 && a.set(quotient, (a.error + Math.abs(quotient) * b.error) / least);
            };
            case POWER -> InDoubles::power;
            default -> (a, b) -> Math.abs(a.value - b.value) > a.error + b.error && a.exactly(operator.apply(
                    Approximate.from(a.value), Approximate.from(b.value)).signum());
        };
    }

    private static boolean power(Slot a, Slot b) {
        if (a.value < a.error || Math.abs(b.value) > MOST_TIMES) {
            // Below 0 it depends on the exponent whether there is a value, and at 0 it is one of its own; a fraction with a large one is too long.
            return false;
        }
        double power = Math.pow(a.value, b.value);
        double error = 0;
        for (int n = 0; n < 4; n++) {
            double corner = Math.pow(n < 2 ? a.value - a.error : a.value + a.error, n % 2 == 0 ? b.value - b.error : b.value + b.error);
            error = Math.max(error, Math.abs(corner - power));
        }
        return a.set(power, error);
    }

    private static Optional<InDoubles> of(Expression.Call call, ToIntFunction<String> place) {
        Optional<InDoubles> first = of(call.arguments().get(0), place);
        return switch (call.function()) {
            case ABS -> first.map(a -> (numbers, out) -> a.at(numbers, out) && out.set(Math.abs(out.value), out.error));
            case SQRT -> first.map(a -> rising(a, Math::sqrt));
            case LN -> first.map(a -> rising(a, Math::log));
            case LOG2 -> first.map(a -> rising(a, x -> Math.log(x) / Math.log(2)));
            case LOG10 -> first.map(a -> rising(a, Math::log10));
            case EXP -> first.map(a -> rising(a, Math::exp));
            case SIN -> first.map(a -> (numbers, out) -> a.at(numbers, out) && out.set(Math.sin(out.value), out.error));
            case COS -> first.map(a -> (numbers, out) -> a.at(numbers, out) && out.set(Math.cos(out.value), out.error));
            default -> Optional.empty();
        };
    }

    /** A function that only rises is nowhere in between farther off than at the ends; where it has no value there, it gives none. */
    private static InDoubles rising(InDoubles argument, DoubleUnaryOperator function) {
        return (numbers, out) -> {
            if (!argument.at(numbers, out)) {
                return false;
            }
            double value = function.applyAsDouble(out.value);
            double most = Math.max(function.applyAsDouble(out.value + out.error) - value, value - function.applyAsDouble(out.value - out.error));
            return out.set(value, most);
        };
    }
}
