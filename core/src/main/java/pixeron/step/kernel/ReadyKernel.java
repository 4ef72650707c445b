package pixeron.step.kernel;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.Span;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.WindowStep;

/**
 * A kernel with weights that everybody uses: {@code box}, {@code binomial}, {@code gaussian}, {@code sharpen},
 * {@code laplacian}.
 *
 * <p>Domain: n from 1 to 31, sigma above 0 with a window up to 31. Cost: see {@link Summation}. Source:
 * docs/definitions/kernels.md.
 */
public final class ReadyKernel extends WindowStep {

    static final int LARGEST = 31;
    static final NumberParameter SIZE = NumberParameter.required("size", "Size").sliding(Span.of(Rational.ONE, Rational.of(31), Rational.of(2))).only(size -> size.isInt()
            && size.toInt() >= 1 && size.toInt() <= LARGEST, "a whole number from 1 to " + LARGEST);
    private static final NumberParameter SIGMA = NumberParameter.required("sigma", "Sigma").sliding(Span.of(Rational.of(1, 10), Rational.of(5), Rational.of(1, 10))).only(
            sigma -> sigma.signum() > 0, "a number above 0");
    private static final NumberParameter ODD_SIZE = NumberParameter.automatic("size", "Size", false).only(
            size -> size.isInt() && size.toInt() >= 1 && size.toInt() <= LARGEST && size.toInt() % 2 == 1,
            "an odd number from 1 to " + LARGEST + ", or auto");
    private static final ChoiceParameter.Choice FOUR = new ChoiceParameter.Choice("4", "above, below, left and right");
    private static final ChoiceParameter.Choice EIGHT = new ChoiceParameter.Choice("8", "the diagonal neighbors as well");
    private static final ChoiceParameter NEIGHBORS = new ChoiceParameter("neighbors", "Neighbors",
            Optional.empty(), List.of(FOUR, EIGHT));

    /**
     * Where the weights come from.
     *
     * @param first arguments to begin with
     * @param weights the weights for arguments
     */
    private record Recipe(Arguments first, Function<Arguments, Weights> weights) {
    }

    private final Recipe recipe;

    private ReadyKernel(String name, String title, String sentence, String formula, Recipe recipe, Parameter<?>... own) {
        super(name, title, sentence, formula, Border.ZERO, own);
        this.recipe = recipe;
    }

    /** Returns {@code box size=n}: the mean of the window. */
    public static ReadyKernel box() {
        return new ReadyKernel("box", "Mean (box) filter", "Smooths: replaces each pixel with the mean of its window.", "s = Σ r ÷ n²",
                new Recipe(small(SIZE), arguments -> box(size(arguments, SIZE))), SIZE);
    }

    private static int size(Arguments arguments, NumberParameter size) {
        return arguments.get(size).number().toInt();
    }

    private static Weights box(int size) {
        return Weights.centered(Collections.nCopies(size, Collections.nCopies(size, Rational.ONE)));
    }

    /** Returns {@code binomial size=n}: weights from Pascal's row, across and down. */
    public static ReadyKernel binomial() {
        return new ReadyKernel("binomial", "Binomial filter",
                "Smooths with weights from Pascal's triangle, largest in the center.",
                "s = Σ w × r ÷ Σ w", new Recipe(small(SIZE), arguments -> binomial(size(arguments, SIZE))), SIZE);
    }

    private static Weights binomial(int size) {
        List<Rational> row = new ArrayList<>();
        BigInteger number = BigInteger.ONE;
        for (int k = 0; k < size; k++) {
            row.add(Rational.of(number, BigInteger.ONE));
            number = number.multiply(BigInteger.valueOf(size - 1L - k)).divide(BigInteger.valueOf(k + 1L));
        }
        return Weights.centered(row.stream().map(down -> row.stream().map(down::times).toList()).toList());
    }

    /** Returns {@code gaussian sigma=σ size=auto}: weights exp(−(a² + b²) ÷ (2σ²)), divided by their sum. */
    public static ReadyKernel gaussian() {
        return new ReadyKernel("gaussian", "Gaussian filter",
                "Smooths with weights that decrease with distance; a larger sigma blurs more.",
                "s = Σ w × r ÷ Σ w, w = exp(−(a² + b²) ÷ 2σ²)", new Recipe(Arguments.NONE.with(SIGMA,
                Amount.of(1)), ReadyKernel::gaussian), SIGMA, ODD_SIZE);
    }

    /** The rule that nearly all of the weight lies within 3σ to both sides. */
    private static int gaussianSize(Arguments arguments) {
        if (!arguments.get(ODD_SIZE).isAuto()) {
            return size(arguments, ODD_SIZE);
        }
        Rational sigma = arguments.get(SIGMA).number();
        Rational reach = sigma.times(Rational.of(3));
        Rational size = reach.floor().plus(reach.isWhole() ? Rational.ZERO : Rational.ONE).times(Rational.of(2))
                .plus(Rational.ONE);
        if (!size.isInt() || size.toInt() > LARGEST) {
            throw PixeronException.of("sigma=%s needs a window of %s × %s, but the largest is %d × %d. Use a sigma up to 5, or "
                    + "size=%d.", Decimals.print(sigma), Decimals.print(size), Decimals.print(size), LARGEST, LARGEST, LARGEST);
        }
        return size.toInt();
    }

    private static Weights gaussian(Arguments arguments) {
        double sigma = arguments.get(SIGMA).number().asDouble();
        int half = gaussianSize(arguments) / 2;
        List<List<Value>> rows = new ArrayList<>();
        for (int a = -half; a <= half; a++) {
            List<Value> row = new ArrayList<>();
            for (int b = -half; b <= half; b++) {
                // With a tiny sigma the exponent has no bound, and 0 is its weight.
                row.add(Approximate.from(Math.exp(-(a * a + b * b) / (2 * sigma * sigma))));
            }
            rows.add(row);
        }
        return Weights.centered(rows);
    }

    /** Returns {@code sharpen}: five times the pixel less its four neighbors. */
    public static ReadyKernel sharpen() {
        return new ReadyKernel("sharpen", "Sharpen", "Five times the pixel minus its four neighbors; edges become clearer.",
                "s = 5 × r − above − below − left − right", new Recipe(Arguments.NONE,
                arguments -> Weights.centered(new int[] {0, -1, 0}, new int[] {-1, 5, -1}, new int[] {0, -1, 0})));
    }

    /** Returns {@code laplacian neighbors=4|8}: the neighbors less as many times the pixel. */
    public static ReadyKernel laplacian() {
        return new ReadyKernel("laplacian", "Laplacian", "The neighbors minus 4 or 8 times the pixel; 0 in flat areas.",
                "s = Σ neighbors − 4 × r, or − 8 × r", new Recipe(Arguments.NONE.with(NEIGHBORS, FOUR),
                arguments -> arguments.get(NEIGHBORS).equals(FOUR)
                        ? Weights.centered(new int[] {0, 1, 0}, new int[] {1, -4, 1}, new int[] {0, 1, 0})
                        : Weights.centered(new int[] {1, 1, 1}, new int[] {1, -8, 1}, new int[] {1, 1, 1})), NEIGHBORS);
    }

    @Override
    public String formula(Arguments arguments) {
        return arguments.isGiven(NEIGHBORS) ? "s = Σ neighbors − " + arguments.get(NEIGHBORS).word() + " × r"
                : super.formula(arguments);
    }

    @Override
    public void validate(Arguments arguments) {
        super.validate(arguments);
        recipe.weights.apply(arguments);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, recipe.first);
    }

    @Override
    public Optional<Step> spelledOut(Step step) {
        Weights laid = recipe.weights.apply(step.arguments());
        return laid.isRational() ? Optional.of(Kernel.step(laid, step)) : Optional.empty();
    }

    @Override
    protected List<Slip> cellSlips() {
        return Stream.concat(WeightSlips.of(this::spelledOut).stream(), super.cellSlips().stream()).toList();
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Weights laid = recipe.weights.apply(step.arguments());
        return KernelRule.bind(step, before, window(step.arguments(), before, laid.height(), laid.width(),
                laid.anchorRow(), laid.anchorColumn()), laid, laid);
    }
}
