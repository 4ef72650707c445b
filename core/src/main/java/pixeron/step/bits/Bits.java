package pixeron.step.bits;

import java.math.BigInteger;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BinaryOperator;
import pixeron.PixeronException;
import pixeron.formula.Expression;
import pixeron.formula.Function;
import pixeron.formula.Typeset;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Opposite;
import pixeron.step.Step;
import pixeron.step.key.Arguments;
import pixeron.step.key.MaskParameter;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;

/**
 * {@code bits-and mask=m}, {@code bits-or}, {@code bits-xor}: each binary digit of r with that of a mask.
 *
 * <p>Domain: whole levels r; 0 ≤ m ≤ M. Source: The table of and, or, exclusive or, digit by digit,
 * docs/definitions/point-steps.md.
 */
public final class Bits extends PointStep {

    private static final MaskParameter MASK = new MaskParameter("mask", "Mask");
    private static final String AND = "and";
    private static final String OR = "or";

    private final String word;
    private final BinaryOperator<BigInteger> operation;

    private Bits(String word, String sentence, BinaryOperator<BigInteger> operation) {
        super("bits-" + word, "Bitwise " + word.toUpperCase(Locale.ROOT), sentence, "r", MASK);
        this.word = word;
        this.operation = operation;
    }

    public static Bits and() {
        return new Bits(AND, "Keeps the bits where the mask is 1 and clears the others.", BigInteger::and);
    }

    public static Bits or() {
        return new Bits(OR, "Sets the bits where the mask is 1.", BigInteger::or);
    }

    public static Bits xor() {
        return new Bits("xor", "Inverts the bits where the mask is 1.", BigInteger::xor);
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = r " + word + " mask, bit by bit";
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        BigInteger mask = BigInteger.valueOf(arguments.get(MASK));
        return PointRule.ofCases(shown(arguments), sample -> Expression.Literal.of(Rational.of(
                operation.apply(whole(this, sample), mask), BigInteger.ONE)), sample -> why(mask, sample),
                before.maximumLevel()).coming("exact", () -> told(new Code.Call(Function.valueOf(word.toUpperCase(Locale.ROOT)), List.of(Code.name("r"), Code.of(arguments.get(MASK))))));
    }

    /** Returns how the value before rounding comes about in a program. */
    static Origin told(Code exact) {
        return new Origin(List.of(), List.of(Statement.set("exact", exact)));
    }

    private String why(BigInteger mask, Value sample) {
        BigInteger r = whole(this, sample);
        return inBinary(word, r, mask, operation.apply(r, mask));
    }

    /** Returns {@code 0b1100 and 0b1010 = 0b1000}. */
    public static String inBinary(String word, BigInteger first, BigInteger second, BigInteger result) {
        int width = Math.max(1, Math.max(Math.max(first.bitLength(), second.bitLength()), result.bitLength()));
        return String.format(Locale.ROOT, "%s %s %s = %s", binary(first, width), word, binary(second, width), binary(result, width));
    }

    private static String binary(BigInteger number, int width) {
        String digits = number.toString(2);
        return "0b" + "0".repeat(Math.max(0, width - digits.length())) + digits;
    }

    /**
     * Returns the sample as a whole number.
     *
     * @throws PixeronException if it is none from 0 on
     */
    private static BigInteger whole(PointStep step, Value sample) {
        if (sample instanceof Rational r && r.isWhole() && r.signum() >= 0) {
            return r.numerator();
        }
        throw PixeronException.of("%s needs whole numbers of at least 0, but one value is %s.", step.title(),
                Decimals.working(sample));
    }

    /** Returns the rule of a step that takes a formula of whole numbers from 0 on. */
    static PointRule wholeOnly(PointStep step, Expression expression, Image before) {
        return PointRule.ofCases(Typeset.text(expression), sample -> {
            whole(step, sample);
            return expression;
        }, sample -> "", before.maximumLevel());
    }

    @Override
    public Optional<Opposite> opposite(Step step) {
        return word.equals(AND) ? Optional.of(new Opposite("the bits are combined with OR instead of AND", step.as(or())))
                : word.equals(OR) ? Optional.of(new Opposite("the bits are combined with AND instead of OR", step.as(and())))
                : Optional.empty();
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(MASK, maximumLevel / 2));
    }
}
