package pixeron.formula;

import java.util.List;
import java.util.Objects;
import java.util.function.ToIntFunction;
import pixeron.number.Approximate;
import pixeron.number.Value;

/**
 * An expression made ready to be evaluated very often: its names are looked up once, as places in a row of numbers. Its values
 * are those of {@link Evaluator}, including those that represent none.
 */
@FunctionalInterface
public interface Compiled {

    /**
     * Returns the value.
     *
     * @param numbers the variables' values, at the places that they were given
     * @throws pixeron.PixeronException where a part that must be computed has no value
     */
    Value at(Value... numbers);

    /**
     * Compiles an expression.
     *
     * @param place where the value of a variable will stand
     */
    static Compiled of(Expression expression, ToIntFunction<String> place) {
        if (expression instanceof Expression.Literal literal) {
            Value value = literal.value();
            return numbers -> value;
        } else if (expression instanceof Expression.Variable variable) {
            int at = place.applyAsInt(variable.name());
            return numbers -> Objects.requireNonNull(numbers[at], variable.name());
        } else if (expression instanceof Expression.Negation negation) {
            Compiled operand = of(negation.operand(), place);
            return numbers -> operand.at(numbers).negated();
        } else if (expression instanceof Expression.Binary binary) {
            Compiled left = of(binary.left(), place);
            Compiled right = of(binary.right(), place);
            Operator operator = binary.operator();
            return numbers -> Approximate.snapped(operator.apply(left.at(numbers), right.at(numbers)), 1);
        } else if (expression instanceof Expression.Call call) {
            return of(call, place);
        }
        Expression.Choice choice = (Expression.Choice) expression;
        Compiled condition = of(choice.condition(), place);
        Compiled then = of(choice.then(), place);
        Compiled otherwise = of(choice.otherwise(), place);
        return numbers -> (condition.at(numbers).signum() != 0 ? then : otherwise).at(numbers);
    }

    private static Compiled of(Expression.Call call, ToIntFunction<String> place) {
        Compiled[] arguments = call.arguments().stream().map(argument -> of(argument, place)).toArray(Compiled[]::new);
        Function function = call.function();
        return numbers -> {
            Value[] values = new Value[arguments.length];
            for (int n = 0; n < values.length; n++) {
                values[n] = arguments[n].at(numbers);
            }
            return Approximate.snapped(function.apply(List.of(values)), 1);
        };
    }
}
