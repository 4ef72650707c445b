package pixeron.loop;

import java.util.List;
import java.util.function.Function;
import pixeron.formula.Expression;
import pixeron.formula.Operator;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;

/** Something that is calculated. */
public sealed interface Code {

    /** A number. */
    record Number(Value value) implements Code {
    }

    /** A variable; {@code H} and {@code W} are rows and columns of the image, {@code i} and {@code j} the pixel of the result. */
    record Name(String name) implements Code {
    }

    /** A cell of a grid, such as {@code before}. */
    record Cell(String grid, Code row, Code column) implements Code {
    }

    /** An entry of a list. */
    record At(String list, Code index) implements Code {
    }

    /** How many entries a list has. */
    record Size(String list) implements Code {
    }

    /** How many rows a grid has. */
    record Rows(String grid) implements Code {
    }

    /** How many columns a grid has. */
    record Columns(String grid) implements Code {
    }

    /** What a helper gives that every language has in its own words, see {@link Helper}. */
    record Helped(Helper helper, List<Code> arguments) implements Code {
    }

    record Negation(Code operand) implements Code {
    }

    record Binary(Operator operator, Code left, Code right) implements Code {
    }

    record Call(pixeron.formula.Function function, List<Code> arguments) implements Code {
    }

    /** Only the chosen one is calculated. */
    record Choice(Code condition, Code then, Code otherwise) implements Code {
    }

    /** Holds where all of them do. */
    record All(List<Code> conditions) implements Code {
    }

    /** A whole number. */
    record Rounded(Rounding rounding, Code value) implements Code {
    }

    static Code of(long number) {
        return new Number(Rational.of(number));
    }

    static Code of(Value value) {
        return new Number(value);
    }

    static Code name(String name) {
        return new Name(name);
    }

    /** Returns the sample of the image at a place. */
    static Code before(Code row, Code column) {
        return new Cell("before", row, column);
    }

    static Code helped(Helper helper, Code... arguments) {
        return new Helped(helper, List.of(arguments));
    }

    /**
     * Converts an expression.
     *
     * @param names what represents a variable of the formula
     */
    static Code of(Expression expression, Function<String, Code> names) {
        if (expression instanceof Expression.Literal literal) {
            return new Number(literal.value());
        } else if (expression instanceof Expression.Variable variable) {
            return names.apply(variable.name());
        } else if (expression instanceof Expression.Negation negation) {
            return new Negation(of(negation.operand(), names));
        } else if (expression instanceof Expression.Binary binary) {
            return new Binary(binary.operator(), of(binary.left(), names), of(binary.right(), names));
        } else if (expression instanceof Expression.Call call) {
            return new Call(call.function(), call.arguments().stream().map(argument -> of(argument, names)).toList());
        }
        Expression.Choice choice = (Expression.Choice) expression;
        return new Choice(of(choice.condition(), names), of(choice.then(), names), of(choice.otherwise(), names));
    }

    default Code plus(Code other) {
        return isZero(other) ? this : isZero(this) ? other : new Binary(Operator.ADD, this, other);
    }

    default Code minus(Code other) {
        return isZero(other) ? this : new Binary(Operator.SUBTRACT, this, other);
    }

    default Code times(Code other) {
        return new Binary(Operator.MULTIPLY, this, other);
    }

    default Code over(Code other) {
        return new Binary(Operator.DIVIDE, this, other);
    }

    default Code atLeast(Code other) {
        return new Binary(Operator.AT_LEAST, this, other);
    }

    default Code atMost(Code other) {
        return new Binary(Operator.AT_MOST, this, other);
    }

    default Code less(Code other) {
        return new Binary(Operator.LESS, this, other);
    }

    default Code mod(Code other) {
        return new Call(pixeron.formula.Function.MOD, List.of(this, other));
    }

    /** Returns this, not below one and not above another. */
    default Code between(Code least, Code most) {
        return new Call(pixeron.formula.Function.MIN, List.of(new Call(pixeron.formula.Function.MAX, List.of(this, least)), most));
    }

    /** Returns whether this lies in from to below − 1. */
    static List<Code> inside(Code place, Code from, Code below) {
        return List.of(place.atLeast(from), place.less(below));
    }

    private static boolean isZero(Code code) {
        return code instanceof Number number && number.value().signum() == 0;
    }
}
