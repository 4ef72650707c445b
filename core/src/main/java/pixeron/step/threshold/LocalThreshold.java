package pixeron.step.threshold;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.kernel.KernelCodes;
import pixeron.step.kernel.Weights;
import pixeron.step.key.Amount;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.Mean;
import pixeron.step.neighborhood.Window;
import pixeron.step.neighborhood.WindowOperation;
import pixeron.step.neighborhood.WindowRule;
import pixeron.step.neighborhood.WindowStep;

/**
 * {@code threshold-local size=n offset=0 border=zero low=0 high=M}: high where r &gt; (mean of the n × n window) − offset,
 * else low.
 *
 * <p>Domain: n from 1 to 255, offset any number. Cost: a few sums for each pixel, whatever n. Source: A limit that
 * follows uneven light, docs/definitions/thresholds.md.
 */
public final class LocalThreshold extends WindowStep {

    private static final NumberParameter SIZE = size();
    private static final NumberParameter OFFSET = NumberParameter.optional("offset", "Offset", 0).sliding(Span.ofLevels(-1, 1));
    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0));
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM);
    private static final Expression LIMIT = Parser.parse("mean - offset", Set.of("mean", "offset"));
    private static final Set<String> NAMES = Set.of("r", "threshold", "low", "high");
    private static final Expression ABOVE = Parser.parse("if(r > threshold, high, low)", NAMES);
    private static final Expression AT_LEAST = Parser.parse("if(r >= threshold, high, low)", NAMES);

    private final Expression levels;

    public LocalThreshold() {
        this(ABOVE);
    }

    /** @param levels what is made of the limit; a slip is to count just the limit as above it */
    private LocalThreshold(Expression levels) {
        super("threshold-local", "Local threshold",
                "Sets levels above the mean of their window to high, the others to low.",
                "s = if r > window mean − offset: high, else low", Border.ZERO, SIZE, OFFSET, LOW, HIGH);
        this.levels = levels;
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, small(SIZE));
    }

    @Override
    public List<Slip> slips() {
        return Stream.concat(super.slips().stream(), Stream.of(TwoLevels.swapped(LOW, HIGH), Slip.of("strictness",
                "r = mean − offset counts as above", step -> step.as(new LocalThreshold(AT_LEAST))))).toList();
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        int maximum = before.maximumLevel();
        WindowRule rule = WindowRule.of(new Mean()).withNumbers(Map.of(
                "offset", step.arguments().get(OFFSET).resolve(maximum), "low", step.arguments().get(LOW).resolve(maximum),
                "high", step.arguments().get(HIGH).resolve(maximum))).then("threshold", "threshold", LIMIT, "").ending(levels);
        int size = step.arguments().get(SIZE).resolve(maximum).toInt();
        Window window = square(step.arguments(), before, size);
        // What counts is r − mean.
        Rational offset = step.arguments().get(OFFSET).resolve(maximum);
        return new WindowOperation(step, before, window, rule.withCodes(() -> KernelCodes.of(lessMean(size), before, window, false)
                .map(sums -> new LocalCodes(sums, before, window, offset, levels == ABOVE, (sample, mean) -> rule.value(sample, mean)))));
    }

    /** Returns the weights of r − mean. */
    private static Weights lessMean(int size) {
        int cells = size * size;
        int[][] weights = new int[size][size];
        for (int[] row : weights) {
            Arrays.fill(row, -1);
        }
        weights[(size - 1) / 2][(size - 1) / 2] += cells;
        return Weights.centered(weights).with(Optional.of(Rational.of(cells)), Rational.ZERO);
    }
}
