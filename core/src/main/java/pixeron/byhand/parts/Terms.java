package pixeron.byhand.parts;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.formula.Expression.Binary;
import pixeron.formula.Expression.Negation;
import pixeron.formula.Operator;
import pixeron.formula.Scope;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * An expression as a sum of terms over one divisor, or as factors over divisors where it is a single term.
 *
 * @param terms what is added, calculated; a term that is removed is negative
 * @param divisor what the whole sum is divided by; 1 when it is not divided
 * @param factors of a single term, what is multiplied; empty for a sum
 * @param divisors of a single term, what it is divided by
 */
record Terms(List<Value> terms, Value divisor, List<Value> factors, List<Value> divisors) {

    /** Returns the parts of an expression; empty where some part has no value. */
    static Optional<Terms> of(Expression expression) {
        try {
            Value divisor = Rational.ONE;
            Expression top = expression;
            if (top instanceof Binary binary && binary.operator() == Operator.DIVIDE && isSum(binary.left())) {
                divisor = value(binary.right());
                top = binary.left();
            }
            List<Value> terms = new ArrayList<>();
            add(terms, top, false);
            List<Value> factors = new ArrayList<>();
            List<Value> divisors = new ArrayList<>();
            if (terms.size() == 1) {
                factor(factors, divisors, top, false);
            }
            return Optional.of(new Terms(terms, divisor, factors, divisors));
        } catch (PixeronException withoutValue) {
            return Optional.empty();
        }
    }

    /** Returns a sum of terms over a divisor. */
    static Terms sum(List<Value> terms, Value divisor) {
        return new Terms(terms, divisor, List.of(), List.of());
    }

    /** Returns the same with each term divided by the divisor. */
    Terms divided() {
        return sum(terms.stream().map(term -> term.dividedBy(divisor)).toList(), Rational.ONE);
    }

    private static boolean isSum(Expression expression) {
        return expression instanceof Binary binary && (binary.operator() == Operator.ADD || binary.operator() == Operator.SUBTRACT);
    }

    private static Value value(Expression expression) {
        return Evaluator.evaluate(expression, Scope.EMPTY);
    }

    private static void add(List<Value> terms, Expression expression, boolean isNegative) {
        if (expression instanceof Negation negation) {
            add(terms, negation.operand(), !isNegative);
        } else if (expression instanceof Binary binary && isSum(binary)) {
            add(terms, binary.left(), isNegative);
            add(terms, binary.right(), isNegative != (binary.operator() == Operator.SUBTRACT));
        } else {
            Value value = value(expression);
            terms.add(isNegative ? Rational.ZERO.minus(value) : value);
        }
    }

    private static void factor(List<Value> factors, List<Value> divisors, Expression expression, boolean isDivisor) {
        if (expression instanceof Binary binary && binary.operator() == Operator.MULTIPLY) {
            factor(factors, divisors, binary.left(), isDivisor);
            factor(factors, divisors, binary.right(), isDivisor);
        } else if (expression instanceof Binary binary && binary.operator() == Operator.DIVIDE) {
            factor(factors, divisors, binary.left(), isDivisor);
            factor(factors, divisors, binary.right(), !isDivisor);
        } else {
            (isDivisor ? divisors : factors).add(value(expression));
        }
    }
}
