package pixeron.formula;

import java.util.List;
import java.util.Objects;
import pixeron.number.Approximate;
import pixeron.number.Value;

/**
 * The value of an expression.
 *
 * <p>Exact as long as every part is rational. Every intermediate double is taken as the multiple of ½ that it is
 * within 10⁻¹²·max(1, |v|) of, so that sqrt(9) is 3.
 */
public final class Evaluator {

    private Evaluator() {
    }

    /**
     * Returns its value.
     *
     * @param expression any
     * @param scope has every variable of the expression
     * @throws pixeron.PixeronException where a part that must be computed has no value
     */
    public static Value evaluate(Expression expression, Scope scope) {
        if (expression instanceof Expression.Literal literal) {
            return literal.value();
        } else if (expression instanceof Expression.Variable variable) {
            return Objects.requireNonNull(scope.value(variable.name()), variable.name());
        } else if (expression instanceof Expression.Negation negation) {
            return evaluate(negation.operand(), scope).negated();
        } else if (expression instanceof Expression.Binary binary) {
            return snapped(binary.operator().apply(evaluate(binary.left(), scope), evaluate(binary.right(), scope)));
        } else if (expression instanceof Expression.Call call) {
            List<Value> arguments = call.arguments().stream().map(argument -> evaluate(argument, scope)).toList();
            return snapped(call.function().apply(arguments));
        }
        Expression.Choice choice = (Expression.Choice) expression;
        boolean holds = evaluate(choice.condition(), scope).signum() != 0;
        return evaluate(holds ? choice.then() : choice.otherwise(), scope);
    }

    private static Value snapped(Value value) {
        return Approximate.snapped(value, 1);
    }
}
