package pixeron.step.lowrank;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.loop.Code;
import pixeron.loop.LoopProgram;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.step.Bound;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.WholeType;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.Span;
import pixeron.working.TableKind;

/**
 * {@code low-rank keep=k}, {@code low-rank energy=p measure=sum}: Σ over m = 1 to k of σₘ · uₘ · vₘᵀ, the first k of the patterns that
 * the image is made of.
 *
 * <p>Domain: 1 ≤ k ≤ min(H, W); 0 &lt; p ≤ 100, the smallest k whose cumulative fraction of Σσ (or Σσ²) reaches p %. Doubles. Cost: one
 * decomposition, then k products a pixel. Source: docs/definitions/low-rank.md.
 */
public final class RankKeep extends NamedStep implements WholeType {

    static final TableKind SINGULAR = TableKind.of("singular", "Singular values").plotting("sigma").with(Map.of("sigma", "σ", "share", "fraction of Σσ",
            "running", "cumulative", "share-squares", "fraction of Σσ²", "running-squares", "cumulative of Σσ²", "numbers", "numbers stored", "ratio", "stored ÷ all"));

    static final TableKind POWER = TableKind.of("power", "Power iteration").with(Map.of("sigma", "σ"));

    private static final int MOST_IN_A_MOMENT = 2_000_000;
    private static final NumberParameter KEEP = NumberParameter.required("keep", "Rank k").sliding(Span.of(1, 64)).only(n -> n.isInt() && n.toInt() >= 1,
            "a whole number from 1 to the smaller side of the image").leftOutAtWill();
    private static final NumberParameter ENERGY = NumberParameter.required("energy", "Energy").sliding(Span.of(1, 100)).only(n -> n.signum() > 0
            && n.compareTo(Rational.of(100)) <= 0, "a percentage above 0, up to 100").leftOutAtWill();
    private static final ChoiceParameter.Choice SQUARES = new ChoiceParameter.Choice("squares", "fraction of Σσ²");
    private static final ChoiceParameter.Choice SUM = new ChoiceParameter.Choice("sum", "fraction of Σσ");
    private static final ChoiceParameter MEASURE = ChoiceParameter.of("measure", "Measure", SUM, SQUARES);

    public RankKeep() {
        super("low-rank", "Low-rank approximation", "Keeps the k largest singular values of the image (truncated SVD) and sets the others to 0.");
    }

    @Override
    public String formula(Arguments arguments) {
        return "s(i, j) = σ1 × u1(i) × v1(j) + … + σk × uk(i) × vk(j)";
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(KEEP, ENERGY, MEASURE);
    }

    @Override
    public Set<Common> common() {
        return Set.of(Common.ROUNDING, Common.OVERFLOW);
    }

    @Override
    public void validate(Arguments arguments) {
        if (arguments.isGiven(KEEP) == arguments.isGiven(ENERGY)) {
            throw PixeronException.of(arguments.isGiven(KEEP) ? "Rank k (keep) and energy cannot be combined. Leave one of them out."
                    : "low-rank needs keep (the rank k) or energy (a percentage).");
        } else if (arguments.isGiven(MEASURE) && !arguments.isGiven(ENERGY)) {
            throw PixeronException.of("measure applies to energy, not to keep. Leave it out.");
        }
    }

    @Override
    public List<TableKind> tables() {
        return List.of(SINGULAR, POWER);
    }

    @Override
    public Step starter(int maximumLevel) {
        return keeping(1);
    }

    /** Returns the step that keeps the k largest values. */
    public static Step keeping(int k) {
        return new Step(new RankKeep(), Arguments.NONE.with(KEEP, Amount.of(k)));
    }

    /** Returns a step that keeps another number of values, with the same end. */
    static Step keeping(Step step, int k) {
        return new Step(step.type(), step.arguments().without(ENERGY).without(MEASURE).with(KEEP, Amount.of(k)));
    }

    static boolean isByEnergy(Step step) {
        return step.arguments().isGiven(ENERGY);
    }

    /** Returns the column of cumulatives that the step goes by. */
    static String share(Step step) {
        return isOfSquares(step.arguments()) ? "running-squares" : "running";
    }

    private static boolean isOfSquares(Arguments arguments) {
        return arguments.get(MEASURE).equals(SQUARES);
    }

    @Override
    public Optional<String> patience(Frame before) {
        return before.count() <= MOST_IN_A_MOMENT ? Optional.empty() : Optional.of("low-rank decomposes all " + before.size()
                + " pixels at once. This can take minutes and several hundred MB. Resize or crop the image first to make it faster.");
    }

    @Override
    public boolean takes(Result before) {
        return before instanceof Image;
    }

    @Override
    public Bound whole(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        int count = Math.min(before.rows(), before.columns());
        step.arguments().find(KEEP).filter(amount -> amount.number().toInt() > count).ifPresent(amount -> {
            throw PixeronException.of("low-rank has keep=%s, but this image has %d singular values (its smaller side).", amount, count);
        });
        return new LowRankOperation(step, before, values -> kept(step.arguments(), values), true);
    }

    /** What is kept of the patterns: so many, or as many as it takes until the share is reached. */
    static LoopProgram program(Step step, int maximum) {
        Arguments arguments = step.arguments();
        Optional<Code> keep = arguments.find(KEEP).map(amount -> Code.name("place").less(Code.of(amount.number())));
        return LowRankProgram.of(step, maximum, keep.orElseGet(() -> Code.of(100).times(Code.name("stronger")).less(Code.of(Approximate.from(
                arguments.get(ENERGY).number().asDouble() - SingularValues.SAME)).times(Code.name("total")))), isOfSquares(arguments) ? squared -> squared : LowRankProgram::root);
    }

    private static int kept(Arguments arguments, SingularValues values) {
        Optional<Integer> keep = arguments.find(KEEP).map(amount -> amount.number().toInt());
        return keep.orElseGet(() -> values.reaching(arguments.get(ENERGY).number().asDouble(), isOfSquares(arguments), false));
    }

    @Override
    public List<Slip> slips() {
        return List.of(Slip.of("other-energy", right -> isByEnergy(right.step()) ? Way.tried(isOfSquares(right.step().arguments())
                        ? "σ is added instead of σ²" : "σ² is added instead of σ", () -> right.step().with(MEASURE,
                                isOfSquares(right.step().arguments()) ? SUM : SQUARES), right) : List.of()),
                Slip.of("strictness", right -> isByEnergy(right.step()) ? other(right, values(right).reaching(right.step().arguments().get(ENERGY)
                        .number().asDouble(), isOfSquares(right.step().arguments()), true), "the fraction must exceed the percentage instead of reaching it") : List.of()),
                Slip.of("one-value-more", this::oneMore),
                Slip.of("sigma-forgotten", right -> List.of(Way.of("the products are not multiplied by their singular values", new LowRankOperation(right.step(),
                        right.before(), values -> kept(right.step().arguments(), values), false)))));
    }

    private List<Way> oneMore(Operation right) {
        List<Way> ways = new ArrayList<>(other(right, kept(right) + 1, "one singular value more is kept"));
        ways.addAll(other(right, kept(right) - 1, "one singular value fewer is kept"));
        return ways;
    }

    /** Another number of values, with the same end; none where there is no such number. */
    private static List<Way> other(Operation right, int k, String words) {
        SingularValues values = values(right);
        return k < 1 || k > values.count() || k == kept(right) ? List.of()
                : List.of(Way.of(words, new LowRankOperation(right.step(), right.before(), same -> k, true)));
    }

    private static SingularValues values(Operation right) {
        return SingularValues.of(right.before());
    }

    private static int kept(Operation right) {
        return kept(right.step().arguments(), values(right));
    }
}
