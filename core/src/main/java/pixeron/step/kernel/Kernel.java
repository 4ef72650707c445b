package pixeron.step.kernel;

import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.ListParameter;
import pixeron.step.key.MatrixParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.WindowStep;

/**
 * {@code kernel weights="…" divisor=auto offset=0 sum=correlation border=zero anchor=auto}: Σ w·r ÷ divisor + offset, the
 * weights laid on the image as they are, or turned by 180° with {@code sum=convolution}.
 *
 * <p>Domain: up to 31 × 31 fractions; a divisor that is not 0, auto the sum of the weights or 1 where that is 0. Cost:
 * see {@link Summation}. Source: Correlation and convolution, docs/definitions/kernels.md.
 */
public final class Kernel extends WindowStep {

    private static final int LARGEST = 31;
    private static final MatrixParameter WEIGHTS = new MatrixParameter("weights", "Weights", LARGEST);
    private static final NumberParameter DIVISOR = NumberParameter.automatic("divisor", "Divisor", false)
            .only(number -> number.signum() != 0, "a number other than 0, or auto");
    private static final NumberParameter OFFSET = NumberParameter.optional("offset", "Offset", 0).sliding(Span.ofLevels(-1, 1));
    private static final ChoiceParameter.Choice CORRELATION = new ChoiceParameter.Choice("correlation",
            "the weights are used as written");
    private static final ChoiceParameter.Choice CONVOLUTION = new ChoiceParameter.Choice("convolution",
            "the weights are rotated by 180° first");
    private static final ChoiceParameter SUM = ChoiceParameter.of("sum", "Mode", CORRELATION, CONVOLUTION);
    private static final ListParameter ANCHOR = new ListParameter("anchor", "Anchor",
            "row and column of the cell that is placed on the pixel, from 0").automatic();

    public Kernel() {
        super("kernel", "Kernel", "Replaces each pixel with a weighted sum of its neighborhood.",
                "s = Σ w × r ÷ divisor + offset", Border.ZERO, WEIGHTS, DIVISOR, OFFSET, SUM, ANCHOR);
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = Σ w × r" + (arguments.get(SUM).equals(CONVOLUTION) ? "(i − a, j − b)" : "") + " ÷ divisor"
                + (arguments.get(OFFSET).number().signum() == 0 ? "" : " + offset");
    }

    @Override
    public void validate(Arguments arguments) {
        super.validate(arguments);
        if (arguments.isGiven(ANCHOR)) {
            int height = arguments.get(WEIGHTS).size();
            int width = arguments.get(WEIGHTS).get(0).size();
            var anchor = arguments.get(ANCHOR);
            if (anchor.size() != 2 || !isIndex(anchor.get(0), height) || !isIndex(anchor.get(1), width)) {
                throw PixeronException.of("anchor=\"%s\" is not a cell of the weights. Give a row from 0 to %d and a column from "
                        + "0 to %d.", ANCHOR.print(anchor), height - 1, width - 1);
            }
        }
    }

    private static boolean isIndex(Rational number, int size) {
        return number.isInt() && number.toInt() >= 0 && number.toInt() < size;
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(WEIGHTS, WEIGHTS.parse("1 2 1 | 2 4 2 | 1 2 1")));
    }

    /** Returns the weights of a step of this type, with anchor, divisor and offset, as they were given. */
    public static Weights weights(Step step) {
        Arguments arguments = step.arguments();
        Weights centered = Weights.centered(arguments.get(WEIGHTS));
        Amount divisor = arguments.get(DIVISOR);
        List<Rational> anchor = arguments.get(ANCHOR);
        Weights anchored = anchor.isEmpty() ? centered
                : centered.anchoredAt(anchor.get(0).toInt(), anchor.get(1).toInt());
        return anchored.with(divisor.isAuto() ? Optional.empty() : Optional.of(divisor.number()),
                arguments.get(OFFSET).number());
    }

    /**
     * Returns these weights as a kernel.
     *
     * @param weights rational
     * @param like a step with a window; border, rounding, overflow and area are taken from it
     */
    static Step step(Weights weights, Step like) {
        Kernel type = new Kernel();
        Arguments arguments = Arguments.NONE.with(WEIGHTS, weights.rows().stream().map(row -> row.stream()
                .map(Rational.class::cast).toList()).toList());
        if (!weights.hasMiddleAnchor()) {
            arguments = arguments.with(ANCHOR, List.of(Rational.of(weights.anchorRow()),
                    Rational.of(weights.anchorColumn())));
        }
        arguments = weights.divisor().isPresent() ? arguments.with(DIVISOR, new Amount(weights.divisor().get())) : arguments;
        return new Step(type, type.taking(arguments.with(OFFSET, new Amount(weights.offset())), like));
    }

    static boolean isTurned(Step step) {
        return step.arguments().get(SUM).equals(CONVOLUTION);
    }

    /** Returns convolution for correlation, or back. */
    static Step turned(Step step) {
        return step.with(SUM, isTurned(step) ? CORRELATION : CONVOLUTION);
    }

    static Step withDivisor(Step step, Rational divisor) {
        return step.with(DIVISOR, new Amount(divisor));
    }

    static Step withoutDivisor(Step step) {
        return step.without(DIVISOR);
    }

    static Step withOffset(Step step, Rational offset) {
        return step.with(OFFSET, new Amount(offset));
    }

    @Override
    protected List<Slip> cellSlips() {
        return WeightSlips.of(Optional::of);
    }

    /** Returns a kernel step with other weights and their anchor; its divisor and offset stay. */
    public static Step with(Step step, Weights weights) {
        Arguments changed = step.arguments().with(WEIGHTS, weights.rows().stream().map(row -> row.stream()
                .map(Rational.class::cast).toList()).toList()).without(ANCHOR);
        return new Step(step.type(), weights.hasMiddleAnchor() ? changed : changed.with(ANCHOR, List.of(
                Rational.of(weights.anchorRow()), Rational.of(weights.anchorColumn()))));
    }

    /**
     * Returns a kernel step with the weights, the anchor and the divisor of another; border, sum and offset stay.
     *
     * @param ready a step that can be spelled out as a kernel
     */
    public static Step filled(Step step, Step ready) {
        Weights weights = weights(ready);
        Step changed = with(step, weights);
        return weights.divisor().map(divisor -> changed.with(DIVISOR, new Amount(divisor)))
                .orElseGet(() -> changed.without(DIVISOR));
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Weights given = weights(step);
        Weights laid = isTurned(step) ? given.turned() : given;
        return KernelRule.bind(step, before, window(step.arguments(), before, laid.height(), laid.width(),
                laid.anchorRow(), laid.anchorColumn()), given, laid);
    }
}
