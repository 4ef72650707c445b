package pixeron.formula;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import pixeron.formula.Expression.Binary;
import pixeron.formula.Expression.Call;
import pixeron.formula.Expression.Choice;
import pixeron.formula.Expression.Literal;
import pixeron.formula.Expression.Negation;
import pixeron.formula.Expression.Variable;

/**
 * An expression calculated the way people write it down: numbers put in, then in every line all operations whose
 * operands are known, until one number is left.
 */
public final class Trace {

    private Trace() {
    }

    /**
     * One line of the calculation.
     *
     * @param expression what is on the line
     * @param note why a branch was taken on the way to this line: {@code 137 > 128 holds}; else empty
     */
    public record Step(Expression expression, String note) {
    }

    /**
     * Returns the expression with numbers put in.
     *
     * @param expression with variables
     * @param values the literal for a variable, or null to leave its name
     */
    public static Expression substitute(Expression expression, Function<String, Literal> values) {
        if (expression instanceof Variable variable) {
            Literal literal = values.apply(variable.name());
            return literal == null ? variable : literal;
        }
        return mapped(expression, part -> substitute(part, values));
    }

    /** Returns whether the expression has a variable of this name. */
    public static boolean has(Expression expression, String name) {
        boolean[] found = new boolean[1];
        substitute(expression, variable -> {
            found[0] |= variable.equals(name);
            return null;
        });
        return found[0];
    }

    /**
     * Returns the expression with its parts changed.
     *
     * @param change what becomes of a part, or the part itself where it stays; asked from the whole down to the leaves, and
     *     not within what it has changed
     */
    public static Expression changed(Expression expression, UnaryOperator<Expression> change) {
        Expression made = change.apply(expression);
        return made != expression ? made : mapped(expression, part -> changed(part, change));
    }

    /**
     * Returns the expression itself, then one entry a line; the last is a {@link Literal}.
     *
     * @param expression without variables
     * @throws pixeron.PixeronException where a part that must be computed has no value
     */
    public static List<Step> lines(Expression expression) {
        List<Step> lines = new ArrayList<>();
        lines.add(new Step(expression, ""));
        Expression at = expression;
        while (!(at instanceof Literal)) {
            List<String> notes = new ArrayList<>();
            at = reduced(at, notes);
            lines.add(new Step(at, String.join(", ", notes)));
        }
        return lines;
    }

    private static Expression reduced(Expression expression, List<String> notes) {
        if (expression instanceof Literal) {
            return expression;
        }
        if (expression instanceof Choice choice) {
            return isReady(choice.condition()) ? taken(choice, notes)
                    : new Choice(reduced(choice.condition(), notes), choice.then(), choice.otherwise());
        }
        return isReady(expression) ? Literal.of(Evaluator.evaluate(expression, Scope.EMPTY))
                : mapped(expression, part -> reduced(part, notes));
    }

    private static Expression taken(Choice choice, List<String> notes) {
        boolean holds = Evaluator.evaluate(choice.condition(), Scope.EMPTY).signum() != 0;
        notes.add(Typeset.text(choice.condition()) + (holds ? " holds" : " is false"));
        return holds ? choice.then() : choice.otherwise();
    }

    /** Ready: one operation on numbers, or a number. */
    private static boolean isReady(Expression expression) {
        if (expression instanceof Negation negation) {
            return negation.operand() instanceof Literal;
        } else if (expression instanceof Binary binary) {
            return binary.left() instanceof Literal && binary.right() instanceof Literal;
        } else if (expression instanceof Call call) {
            return call.arguments().stream().allMatch(Literal.class::isInstance);
        }
        return expression instanceof Literal;
    }

    private static Expression mapped(Expression expression, UnaryOperator<Expression> change) {
        if (expression instanceof Negation negation) {
            return new Negation(change.apply(negation.operand()));
        } else if (expression instanceof Binary binary) {
            return new Binary(binary.operator(), change.apply(binary.left()), change.apply(binary.right()));
        } else if (expression instanceof Call call) {
            return new Call(call.function(), call.arguments().stream().map(change).toList());
        } else if (expression instanceof Choice choice) {
            return new Choice(change.apply(choice.condition()), change.apply(choice.then()),
                    change.apply(choice.otherwise()));
        }
        return expression;
    }
}
