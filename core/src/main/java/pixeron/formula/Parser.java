package pixeron.formula;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.formula.Expression.Binary;
import pixeron.formula.Expression.Call;
import pixeron.formula.Expression.Choice;
import pixeron.formula.Expression.Literal;
import pixeron.formula.Expression.Negation;
import pixeron.formula.Expression.Variable;
import pixeron.number.Approximate;
import pixeron.number.Decimals;

/**
 * Reads an expression.
 *
 * <p>{@code + - * /} (also {@code − × · ÷}), {@code ^} (binds tighter than a sign on its left, to the right first),
 * brackets,
 * comparisons that are not chained, {@code if(c, a, b)}, the functions of {@link Function}, {@code pi}. There is no
 * implied product and no exponent in a number. An expression has at most 1000 characters and 100 nested brackets.
 */
public final class Parser {

    private static final int MAXIMUM_LENGTH = 1000;
    private static final int MAXIMUM_DEPTH = 100;

    private final String text;
    private final Set<String> variables;
    private int at;
    private int depth;

    private Parser(String text, Set<String> variables) {
        this.text = text;
        this.variables = variables;
    }

    /**
     * Returns its tree.
     *
     * @param text the expression
     * @param variables the names that it may use, beside {@code pi}
     * @throws PixeronException if text is not an expression; the message names the character, counted from 1
     */
    public static Expression parse(String text, Set<String> variables) {
        if (text.length() > MAXIMUM_LENGTH) {
            throw PixeronException.of("The expression has %d characters, more than the limit of %d.",
                    text.length(), MAXIMUM_LENGTH);
        }
        Parser parser = new Parser(text, variables);
        Expression whole = parser.comparison();
        if (!parser.isAtEnd()) {
            throw parser.unexpected("an operator such as + or ×");
        }
        return whole;
    }

    private Expression comparison() {
        if (++depth > MAXIMUM_DEPTH) {
            throw PixeronException.of("The expression has more than %d nested brackets.", MAXIMUM_DEPTH);
        }
        Expression left = sum();
        Operator operator = comparisonSign();
        if (operator != null) {
            left = new Binary(operator, left, sum());
            int before = at;
            if (comparisonSign() != null) {
                at = before;
                throw unexpected("the end (comparisons cannot be chained)");
            }
        }
        depth--;
        return left;
    }

    private Operator comparisonSign() {
        if (accept("<=") || accept("≤")) {
            return Operator.AT_MOST;
        } else if (accept(">=") || accept("≥")) {
            return Operator.AT_LEAST;
        } else if (accept("!=") || accept("≠")) {
            return Operator.NOT_EQUAL;
        } else if (accept("<")) {
            return Operator.LESS;
        } else if (accept(">")) {
            return Operator.GREATER;
        }
        return accept("=") ? Operator.EQUAL : null;
    }

    private Expression sum() {
        Expression left = product();
        while (true) {
            if (accept("+")) {
                left = new Binary(Operator.ADD, left, product());
            } else if (acceptMinus()) {
                left = new Binary(Operator.SUBTRACT, left, product());
            } else {
                return left;
            }
        }
    }

    private Expression product() {
        Expression left = signed();
        while (true) {
            if (accept("*") || accept("×") || accept("·")) {
                left = new Binary(Operator.MULTIPLY, left, signed());
            } else if (accept("/") || accept("÷")) {
                left = new Binary(Operator.DIVIDE, left, signed());
            } else {
                return left;
            }
        }
    }

    private Expression signed() {
        int minuses = 0;
        while (true) {
            if (acceptMinus()) {
                minuses++;
            } else if (!accept("+")) {
                break;
            }
        }
        Expression operand = power();
        // −(−a) is a: a run of signs is folded, so that its length cannot nest the tree deeply.
        return minuses % 2 == 0 ? operand : new Negation(operand);
    }

    private Expression power() {
        Expression base = atom();
        if (!accept("^")) {
            return base;
        }
        if (++depth > MAXIMUM_DEPTH) {
            throw PixeronException.of("The expression has more than %d nested powers.", MAXIMUM_DEPTH);
        }
        Expression power = new Binary(Operator.POWER, base, signed());
        depth--;
        return power;
    }

    private Expression atom() {
        if (accept("(")) {
            Expression inner = comparison();
            expect(")");
            return inner;
        }
        char c = peek();
        if (isDigit(c) || c == '.') {
            return number();
        }
        if (Character.isLetter(c)) {
            return named();
        }
        throw unexpected("a number, a name or \"(\"");
    }

    private Expression number() {
        int start = at;
        while (at < text.length() && (isDigit(text.charAt(at)) || text.charAt(at) == '.')) {
            at++;
        }
        String digits = text.substring(start, at);
        if (!Decimals.isNumber(digits)) {
            at = start;
            throw unexpected("a number such as 12 or 3.5");
        }
        return Literal.of(Decimals.parse(digits));
    }

    private Expression named() {
        int start = at;
        while (at < text.length() && (Character.isLetterOrDigit(text.charAt(at)) || text.charAt(at) == '_')) {
            at++;
        }
        String name = text.substring(start, at);
        if (accept("(")) {
            return call(name, start);
        } else if (variables.contains(name)) {
            return new Variable(name);
        } else if (name.equals("pi")) {
            return Literal.of(Approximate.from(Math.PI));
        }
        at = start;
        throw unexpected(variables.isEmpty() ? "a number" : "one of the names " + String.join(", ",
                variables.stream().sorted().toList()) + ", pi");
    }

    private Expression call(String name, int start) {
        List<Expression> arguments = new ArrayList<>();
        do {
            arguments.add(comparison());
        } while (accept(","));
        expect(")");
        if (name.equals("if")) {
            requireCount(arguments.size() == 3, start, "if needs three values: a condition and two results");
            return new Choice(arguments.get(0), arguments.get(1), arguments.get(2));
        }
        Function function = Function.named(name).orElseThrow(() -> {
            at = start;
            return unexpected("a function such as round, min or sqrt");
        });
        requireCount(function.takes(arguments.size()), start, name + " takes " + function.arity());
        return new Call(function, arguments);
    }

    private void requireCount(boolean isRight, int start, String rule) {
        if (!isRight) {
            throw PixeronException.of("Character %d: %s.", start + 1, rule);
        }
    }

    private void expect(String sign) {
        if (!accept(sign)) {
            throw unexpected("\"" + sign + "\"");
        }
    }

    private boolean acceptMinus() {
        return accept("-") || accept(String.valueOf(Decimals.MINUS));
    }

    private boolean accept(String sign) {
        skipBlanks();
        if (!text.startsWith(sign, at)) {
            return false;
        }
        at += sign.length();
        return true;
    }

    private char peek() {
        skipBlanks();
        return at < text.length() ? text.charAt(at) : '\0';
    }

    private boolean isAtEnd() {
        skipBlanks();
        return at == text.length();
    }

    private void skipBlanks() {
        while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
            at++;
        }
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    private PixeronException unexpected(String wanted) {
        String found = isAtEnd() ? "the end of the expression" : "“" + Decimals.shortened(text.substring(at)) + "”";
        return PixeronException.of("Character %d: expected %s, found %s.", at + 1, wanted, found);
    }
}
