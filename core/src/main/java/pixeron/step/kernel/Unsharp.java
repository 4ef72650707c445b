package pixeron.step.kernel;

import java.util.ArrayList;
import java.util.Collections;
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
 * {@code unsharp amount=a size=n}: r + a·(r − mean of the n × n window).
 *
 * <p>Domain: a any number, n from 1 to 31. Cost: a few sums for each pixel, whatever n. Source: What a mean takes away,
 * added once more, docs/definitions/kernels.md.
 */
public final class Unsharp extends WindowStep {

    private static final NumberParameter AMOUNT = NumberParameter.required("amount", "Amount").sliding(Span.of(0, 4, 10));
    private static final Expression APART = Parser.parse("r - mean", Set.of("r", "mean"));
    private static final Expression SHARPER = Parser.parse("r + amount * apart", Set.of("r", "amount", "apart"));

    public Unsharp() {
        super("unsharp", "Unsharp mask", "Adds the difference from the window mean to each pixel; edges become clearer.",
                "s = r + amount × (r − window mean)", Border.ZERO, AMOUNT, ReadyKernel.SIZE);
    }

    private static int size(Step step) {
        return step.arguments().get(ReadyKernel.SIZE).number().toInt();
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, small(ReadyKernel.SIZE).with(AMOUNT, Amount.of(1)));
    }

    /** With border=inside the mean has fewer cells at the edge, which no fixed weights say. */
    @Override
    public Optional<Step> spelledOut(Step step) {
        if (border(step.arguments()) == Border.INSIDE) {
            return Optional.empty();
        }
        // r + a·(r − Σ r ÷ n²) = (n²·(1 + a)·r − a·Σ r) ÷ n²
        Rational amount = step.arguments().get(AMOUNT).number();
        int size = size(step);
        Rational cells = Rational.of((long) size * size);
        List<List<Rational>> rows = new ArrayList<>(Collections.nCopies(size, Collections.nCopies(size, amount.negated())));
        List<Rational> middle = new ArrayList<>(rows.get((size - 1) / 2));
        middle.set((size - 1) / 2, cells.times(Rational.ONE.plus(amount)).minus(amount));
        rows.set((size - 1) / 2, middle);
        return Optional.of(Kernel.step(Weights.centered(rows).with(Optional.of(cells), Rational.ZERO), step));
    }

    @Override
    protected List<Slip> cellSlips() {
        return Stream.concat(WeightSlips.of(this::spelledOut).stream(), super.cellSlips().stream()).toList();
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Window window = square(step.arguments(), before, size(step));
        WindowRule rule = WindowRule.of(new Mean()).withNumbers(Map.of("amount", step.arguments().get(AMOUNT).number()))
                .then("apart", "apart", APART, "").ending(SHARPER)
                .withCodes(() -> spelledOut(step).map(Kernel::weights).flatMap(weights -> KernelCodes.of(weights, before, window,
                        false)));
        return new WindowOperation(step, before, window, rule);
    }
}
