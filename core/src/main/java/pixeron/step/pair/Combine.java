package pixeron.step.pair;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.formula.Evaluator;
import pixeron.formula.Expression;
import pixeron.formula.Function;
import pixeron.formula.Parser;
import pixeron.formula.Trace;
import pixeron.formula.Typeset;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Inputs;
import pixeron.step.Mend;
import pixeron.step.Opposite;
import pixeron.step.Reference;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.bits.Bits;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.ReferenceParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;

/**
 * {@code combine with=REF by=…}: one value of the sample r and the sample t of another image of the same size at the same place.
 *
 * <p>Domain: quotient needs t ≠ 0, and/or/xor whole samples from 0 on; M is that of the image before. Source: Arithmetic of two
 * images, pixel by pixel, docs/definitions/two-images.md. Cost: for levels the formula once for each pair of them, then one
 * look-up a pixel.
 */
public final class Combine extends PointStep {

    /** How r and t become one value. */
    private enum By {
        SUM("sum", "r + t"),
        DIFFERENCE("difference", "r - t"),
        ABSOLUTE("absolute-difference", "abs(r - t)"),
        PRODUCT("product", "r * t / M"),
        QUOTIENT("quotient", "M * r / t"),
        MEAN("mean", "(r + t) / 2"),
        BLEND("blend", "(1 - share) * r + share * t"),
        MINIMUM("minimum", "min(r, t)"),
        MAXIMUM("maximum", "max(r, t)"),
        AND("and"), OR("or"), XOR("xor");

        private final String word;
        private final Expression formula;
        private final ChoiceParameter.Choice choice;

        By(String word, String formula) {
            this.word = word;
            this.formula = Parser.parse(formula, Set.of("r", "t", "M", "share"));
            this.choice = new ChoiceParameter.Choice(word, Typeset.text(this.formula));
        }

        By(String word) {
            this.word = word;
            this.formula = new Expression.Call(Function.valueOf(name()), List.of(new Expression.Variable("r"),
                    new Expression.Variable("t")));
            this.choice = new ChoiceParameter.Choice(word, "r " + word + " t, bit by bit");
        }

        static By named(ChoiceParameter.Choice choice) {
            return Arrays.stream(values()).filter(by -> by.choice.equals(choice)).findFirst().orElseThrow();
        }

        boolean isOfBits() {
            return ordinal() >= AND.ordinal();
        }

        /** Returns what is the same with r and t the other way round. */
        boolean isSymmetric() {
            return this != DIFFERENCE && this != QUOTIENT && this != BLEND;
        }

        Optional<By> opposite() {
            return Optional.ofNullable(switch (this) {
                case SUM -> DIFFERENCE;
                case DIFFERENCE -> SUM;
                case PRODUCT -> QUOTIENT;
                case QUOTIENT -> PRODUCT;
                case MINIMUM -> MAXIMUM;
                case MAXIMUM -> MINIMUM;
                case AND -> OR;
                case OR -> AND;
                default -> null;
            });
        }
    }

    private static final ChoiceParameter BY = new ChoiceParameter("by", "Operation", Optional.empty(), Arrays.stream(By.values()).map(by -> by.choice).toList());
    private static final NumberParameter SHARE = NumberParameter.required("share", "Weight").sliding(Span.of(0, 1, 20)).leftOutAtWill().only(a -> a.signum() >= 0 && a.compareTo(Rational.ONE) <= 0,
            "a number from 0 to 1");

    public Combine() {
        super("combine", "Combine", "Combines two images pixel by pixel.", "r", Reference.WITH, BY, SHARE);
    }

    private static By by(Arguments arguments) {
        return By.named(arguments.get(BY));
    }

    @Override
    public List<ReferenceParameter> references() {
        return List.of(Reference.WITH);
    }

    @Override
    public void validate(Arguments arguments) {
        boolean isBlend = by(arguments) == By.BLEND;
        if (isBlend != arguments.isGiven(SHARE)) {
            throw PixeronException.of(isBlend ? "combine by=blend needs a weight: share=a from 0 to 1."
                    : "Weight (share) applies to by=blend, not to by=%s. Leave it out.", by(arguments).word);
        }
    }

    @Override
    protected Expression expression(Arguments arguments) {
        return by(arguments).formula;
    }

    @Override
    protected PointRule rule(Arguments arguments, Inputs inputs, Area area) {
        Image before = inputs.image(this);
        String reference = arguments.get(Reference.WITH);
        Image other = SameSize.require(name(), before, reference, inputs.other(this, reference));
        By by = by(arguments);
        PointRule rule = PointRule.of(by.formula, before.maximumLevel());
        return arguments.find(SHARE).map(share -> rule.coming("share", () -> Origin.once("share", Code.of(share.number())))).orElse(rule).withOther(reference, other, (r, t) -> by.isOfBits() ? digits(by, r, t) : "");
    }

    private static String digits(By by, Value r, Value t) {
        Value both = by.formula instanceof Expression.Call ? Evaluator.evaluate(by.formula, name -> name.equals("r") ? r : t) : r;
        return Bits.inBinary(by.word, ((Rational) r).numerator(), ((Rational) t).numerator(), ((Rational) both).numerator());
    }

    @Override
    public List<Mend> mends(Step step, Inputs inputs) {
        return SameSize.mends(inputs, step.arguments().get(Reference.WITH));
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(Slip.of("order-swapped", right -> by(right.step().arguments()).isSymmetric() ? List.of()
                : otherFormula("the two images are swapped", right.step(), swapped(by(right.step().arguments()).formula), right)),
                Slip.of("not-absolute", right -> {
                    List<Way> ways = new ArrayList<>();
                    if (by(right.step().arguments()) == By.ABSOLUTE) {
                        ways.addAll(otherFormula("the difference keeps its sign", right.step(), By.DIFFERENCE.formula, right));
                        ways.addAll(otherFormula("the difference keeps its sign, without clipping", right.step().with(Overflow.KEEP),
                                By.DIFFERENCE.formula, right));
                    }
                    return ways;
                }));
    }

    private static Expression swapped(Expression formula) {
        return Trace.changed(formula, part -> part instanceof Expression.Variable name && Set.of("r", "t").contains(name.name())
                ? new Expression.Variable(name.name().equals("r") ? "t" : "r") : part);
    }

    @Override
    public Optional<Opposite> opposite(Step step) {
        By by = by(step.arguments());
        return by.opposite().map(other -> new Opposite(other.word + " is taken instead of " + by.word, step.with(BY, other.choice)));
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(Reference.WITH, Reference.toStep(0)).with(BY, By.ABSOLUTE.choice));
    }
}
