package pixeron.step.pointwise;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;
import pixeron.formula.Expression;
import pixeron.formula.Function;
import pixeron.formula.Operator;
import pixeron.formula.Parser;
import pixeron.formula.Trace;
import pixeron.formula.Typeset;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Early;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;

/**
 * Slips that every step with a formula has by its formula alone: a limit that counts on the other side, and numbers on the
 * way that are rounded too early.
 */
final class FormulaSlips {

    private static final Set<String> PLACES = Set.of("i", "j", "x", "y");
    private static final Expression ONE = Expression.Literal.of(Rational.ONE);
    private static final Expression PI = Parser.parse("pi", Set.of());
    private static final Expression TRUNCATED = Parser.parse("if(x < 0, ceiling(x), floor(x))", Set.of("x"));
    private static final Expression X = new Expression.Variable("x");
    private static final Expression LEVEL = new Expression.Variable("r");
    private static final Expression BYTE = Parser.parse("mod(x, 256)", Set.of("x"));
    private static final Expression HALF_TURN = Expression.Literal.of(Rational.of(180));

    private FormulaSlips() {
    }

    static List<Slip> of(PointStep type) {
        return List.of(Slip.of("strictness", right -> strictness(type, right)),
                Slip.of("counted-from-one", right -> fromOne(type, right)), Slip.of("degrees-for-radians", right -> degrees(type, right)),
                Slip.of("integer-division", right -> wholeDivisions(type, right)), Slip.of("byte-overflow", right -> bytes(type, right)), Early.slip((right, decimals) -> early(type, right, decimals)));
    }

    /** Each comparison of its own, then all together where there are several. */
    private static List<Way> strictness(PointStep type, Operation right) {
        if (!(right instanceof PointOperation operation)) {
            return List.of();
        }
        List<Expression.Binary> comparisons = operation.rule().formula().map(FormulaSlips::comparisons).orElse(List.of());
        List<Way> ways = new ArrayList<>();
        for (Expression.Binary comparison : comparisons) {
            ways.addAll(done(type, right, words(comparison), rule -> rule.changed(part ->
                    part.equals(comparison) ? turned(comparison) : part)));
        }
        if (comparisons.size() > 1) {
            ways.addAll(done(type, right, "a level equal to a threshold counts on the other side", rule -> rule.changed(part ->
                    part instanceof Expression.Binary binary && comparisons.contains(binary) ? turned(binary) : part)));
        }
        return ways;
    }

    /** A formula with the place of the pixel: rows and columns were counted from 1. */
    private static List<Way> fromOne(PointStep type, Operation right) {
        return right instanceof PointOperation operation && operation.rule().hasPlace() ? done(type, right,
                "rows and columns are counted from 1", rule -> rule.changed(part -> part instanceof Expression.Variable place
                        && PLACES.contains(place.name()) ? new Expression.Binary(Operator.ADD, place, ONE) : part)) : List.of();
    }

    /** A formula with an angle: its number was taken in degrees. */
    private static List<Way> degrees(PointStep type, Operation right) {
        boolean hasAngle = right instanceof PointOperation operation && operation.rule().formula().filter(formula ->
                !Trace.changed(formula, FormulaSlips::inDegrees).equals(formula)).isPresent();
        return hasAngle ? done(type, right, "the angle is calculated in degrees", rule ->
                rule.changed(FormulaSlips::inDegrees)) : List.of();
    }

    /** As programs divide whole numbers: what is left over is dropped at once, also where the division is done before a multiplication. */
    private static List<Way> wholeDivisions(PointStep type, Operation right) {
        if (!(right instanceof PointOperation operation) || operation.rule().formula().filter(formula -> !Trace.changed(formula, FormulaSlips::whole).equals(formula))
                .isEmpty()) {
            return List.of();
        }
        List<Way> ways = new ArrayList<>(done(type, right, "every division drops its remainder", rule -> rule.changed(FormulaSlips::whole)));
        ways.addAll(done(type, right, "the division is done first and drops its remainder", rule -> rule.changed(FormulaSlips::dividedFirst)));
        ways.addAll(done(type, right, "the quotient is calculated first, before the multiplication, and drops its remainder", rule ->
                rule.changed(FormulaSlips::quotientFirst)));
        return ways;
    }

    private static Expression whole(Expression part) {
        return part instanceof Expression.Binary binary && binary.operator() == Operator.DIVIDE ? truncated(binary) : part;
    }

    /** a × b ÷ c as a × (b ÷ c), dropped. */
    private static Expression dividedFirst(Expression part) {
        return part instanceof Expression.Binary division && division.operator() == Operator.DIVIDE && division.left() instanceof Expression.Binary product
                && product.operator() == Operator.MULTIPLY ? new Expression.Binary(Operator.MULTIPLY, product.left(), truncated(
                        new Expression.Binary(Operator.DIVIDE, product.right(), division.right()))) : part;
    }

    /** a × b ÷ c as (a ÷ c) × b, dropped. */
    private static Expression quotientFirst(Expression part) {
        return part instanceof Expression.Binary division && division.operator() == Operator.DIVIDE && division.left() instanceof Expression.Binary product
                && product.operator() == Operator.MULTIPLY ? new Expression.Binary(Operator.MULTIPLY, truncated(new Expression.Binary(Operator.DIVIDE,
                        product.left(), division.right())), product.right()) : part;
    }

    /** A sum or a product on the way is kept in a byte, which goes on at 0 behind 255; the last one of a formula wraps as a whole. */
    private static List<Way> bytes(PointStep type, Operation right) {
        if (!(right instanceof PointOperation operation) || operation.rule().maximumLevel() != Image.BYTE_MAXIMUM) {
            return List.of();
        }
        Expression whole = operation.rule().formula().orElse(ONE);
        List<Expression> onTheWay = new ArrayList<>();
        Trace.changed(whole, part -> {
            if (isSum(part) && !part.equals(whole) && !onTheWay.contains(part)) {
                onTheWay.add(part);
            }
            return part;
        });
        List<Way> ways = new ArrayList<>();
        for (Expression part : onTheWay) {
            ways.addAll(done(type, right, Typeset.text(part) + " overflows a byte (modulo 256)", rule -> rule.changed(found ->
                    found.equals(part) ? Trace.changed(BYTE, name -> name.equals(X) ? found : name) : found)));
        }
        return ways;
    }

    private static boolean isSum(Expression part) {
        return part instanceof Expression.Binary binary && (binary.operator() == Operator.ADD || binary.operator() == Operator.MULTIPLY)
                && !Trace.changed(part, found -> found.equals(LEVEL) ? ONE : found).equals(part);
    }

    /** Towards 0, as most languages do. */
    private static Expression truncated(Expression number) {
        return Trace.changed(TRUNCATED, part -> part.equals(new Expression.Variable("x")) ? number : part);
    }

    private static Expression inDegrees(Expression part) {
        return part instanceof Expression.Call call && (call.function() == Function.SIN || call.function() == Function.COS)
                ? new Expression.Call(call.function(), List.of(new Expression.Binary(Operator.DIVIDE, new Expression.Binary(
                        Operator.MULTIPLY, call.arguments().get(0), PI), HALF_TURN))) : part;
    }

    private static List<Way> done(PointStep type, Operation right, String words,
            UnaryOperator<PointRule> change) {
        Step step = right.step();
        return Way.tried(words, () -> new OtherFormula(type, change).of(step), right);
    }

    private static String words(Expression.Binary comparison) {
        return Typeset.text(turned(comparison)) + " is used instead of " + Typeset.text(comparison);
    }

    private static Expression.Binary turned(Expression.Binary comparison) {
        return new Expression.Binary(comparison.operator().withOrWithoutEqual(), comparison.left(), comparison.right());
    }

    private static List<Expression.Binary> comparisons(Expression expression) {
        List<Expression.Binary> found = new ArrayList<>();
        Trace.changed(expression, part -> {
            if (part instanceof Expression.Binary binary && binary.operator() != binary.operator().withOrWithoutEqual()
                    && !found.contains(binary)) {
                found.add(binary);
            }
            return part;
        });
        return found;
    }

    private static List<Way> early(PointStep type, Operation right, int decimals) {
        List<Way> ways = new ArrayList<>();
        for (EarlyPart part : type.earlyParts(right.step().arguments())) {
            Expression whole = type.parsed(part.formula());
            Expression number = type.parsed(part.part());
            Expression rounded = rounded(number, decimals);
            Expression changed = Trace.changed(whole, found -> found.equals(number) ? rounded : found);
            ways.addAll(done(type, right, part.words() + " is rounded " + Early.to(decimals), rule -> rule.with(changed)));
        }
        return ways;
    }

    private static Expression rounded(Expression number, int decimals) {
        Expression scale = Expression.Literal.of(Early.scale(decimals));
        Expression round = Parser.parse(decimals == 0 ? "round(x)" : "round(x * d) / d", Set.of("x", "d"));
        return Trace.changed(round, part -> part.equals(new Expression.Variable("x")) ? number
                : part.equals(new Expression.Variable("d")) ? scale : part);
    }
}
