package pixeron.formula;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import pixeron.formula.Expression.Binary;
import pixeron.formula.Expression.Call;
import pixeron.formula.Expression.Choice;
import pixeron.formula.Expression.Literal;
import pixeron.formula.Expression.Negation;
import pixeron.formula.Expression.Variable;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.working.Role;
import pixeron.working.Run;

/** An expression as it is written on paper: × and ÷, brackets only where they are needed. */
public final class Typeset {

    private static final int COMMA = 0;
    private static final int SIGNED = 4;
    private static final int ATOM = 6;

    private final List<Run> runs = new ArrayList<>();

    private Typeset() {
    }

    /** Returns the expression as runs, numbers in the color of their role. */
    public static List<Run> runs(Expression expression) {
        Typeset typeset = new Typeset();
        typeset.write(expression);
        return List.copyOf(typeset.runs);
    }

    /** Returns the expression as one text. */
    public static String text(Expression expression) {
        return runs(expression).stream().map(Run::text).collect(Collectors.joining());
    }

    private void write(Expression expression) {
        if (expression instanceof Literal literal) {
            runs.add(new Run(Decimals.working(literal.value()), literal.role()));
        } else if (expression instanceof Variable variable) {
            sign(variable.name());
        } else if (expression instanceof Negation negation) {
            sign(Operator.SUBTRACT.sign());
            bracketed(negation.operand(), SIGNED + 1);
        } else if (expression instanceof Binary binary) {
            write(binary);
        } else if (expression instanceof Call call) {
            write(call);
        } else {
            write((Choice) expression);
        }
    }

    private void write(Binary binary) {
        Operator operator = binary.operator();
        boolean isPower = operator == Operator.POWER;
        // A power binds to the right first, everything else to the left first; comparisons are not chained.
        bracketed(binary.left(), isPower ? ATOM : operator.precedence() + (operator.isComparison() ? 1 : 0));
        sign(isPower ? operator.sign() : " " + operator.sign() + " ");
        bracketed(binary.right(), isPower ? operator.precedence() : operator.precedence() + 1);
    }

    private void write(Call call) {
        if (call.function() == Function.ABS) {
            sign("|");
            write(call.arguments().get(0));
            sign("|");
            return;
        } else if (call.function() == Function.SQRT) {
            sign("√");
            bracketed(call.arguments().get(0), ATOM);
            return;
        }
        if (call.function().isOfDigits()) {
            bracketed(call.arguments().get(0), ATOM);
            sign(" " + call.function().word() + " ");
            bracketed(call.arguments().get(1), ATOM);
            return;
        }
        sign(call.function().word() + "(");
        for (int n = 0; n < call.arguments().size(); n++) {
            sign(n > 0 ? ", " : "");
            bracketed(call.arguments().get(n), COMMA);
        }
        sign(")");
    }

    private void write(Choice choice) {
        bracketed(choice.then(), COMMA + 1);
        sign(" if ");
        bracketed(choice.condition(), COMMA + 1);
        sign(", else ");
        write(choice.otherwise());
    }

    private void bracketed(Expression expression, int least) {
        boolean isLoose = precedence(expression) < least;
        sign(isLoose ? "(" : "");
        write(expression);
        sign(isLoose ? ")" : "");
    }

    private static int precedence(Expression expression) {
        if (expression instanceof Literal literal) {
            return precedence(literal.value());
        } else if (expression instanceof Negation) {
            return Operator.ADD.precedence();
        } else if (expression instanceof Binary binary) {
            return binary.operator().precedence();
        } else if (expression instanceof Call call && call.function() == Function.SQRT) {
            // √r^2 would be read as the root of r^2.
            return Operator.POWER.precedence();
        }
        return expression instanceof Choice ? COMMA : ATOM;
    }

    /** A fraction reads like a division, a negative number like a sum: both need brackets inside a product. */
    private static int precedence(Value value) {
        if (value.signum() < 0) {
            return Operator.ADD.precedence();
        }
        return Decimals.isShownAsFraction(value) ? Operator.ADD.precedence() : ATOM;
    }

    private void sign(String text) {
        if (!text.isEmpty()) {
            runs.add(new Run(text, Role.PLAIN));
        }
    }
}
