package pixeron.formula;

import java.util.List;
import pixeron.number.Value;
import pixeron.working.Role;

/** A formula as a tree. Immutable; made by {@link Parser} or by substitution. */
public sealed interface Expression {

    /**
     * A number.
     *
     * @param value the number
     * @param role where it came from, for its color in the working
     */
    record Literal(Value value, Role role) implements Expression {
        public static Literal of(Value value) {
            return new Literal(value, Role.PLAIN);
        }
    }

    /**
     * A variable.
     *
     * @param name a variable such as r or M, or the key of a parameter
     */
    record Variable(String name) implements Expression {
    }

    /**
     * A negated expression.
     *
     * @param operand what is negated
     */
    record Negation(Expression operand) implements Expression {
    }

    /**
     * Two expressions with an operator.
     *
     * @param operator between the two
     * @param left in front of it
     * @param right behind it
     */
    record Binary(Operator operator, Expression left, Expression right) implements Expression {
    }

    /**
     * A function with its arguments.
     *
     * @param function what is applied
     * @param arguments to these, in order
     */
    record Call(Function function, List<Expression> arguments) implements Expression {
        public Call {
            arguments = List.copyOf(arguments);
        }
    }

    /**
     * Only the chosen branch is ever computed.
     *
     * @param condition holds when it is not 0
     * @param then the value when it holds
     * @param otherwise the value when it does not
     */
    record Choice(Expression condition, Expression then, Expression otherwise) implements Expression {
    }
}
