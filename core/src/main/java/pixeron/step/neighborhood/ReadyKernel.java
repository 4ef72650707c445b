package pixeron.step.neighborhood;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Function;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Arguments;
import pixeron.step.ChoiceParameter;
import pixeron.step.NumberParameter;
import pixeron.step.Operation;
import pixeron.step.Parameter;
import pixeron.step.Step;

/** A kernel with weights that everybody uses: {@code box}, {@code binomial}, {@code sharpen}, {@code laplacian}. */
public final class ReadyKernel extends WindowStep {

    private static final int LARGEST = 31;
    private static final NumberParameter SIZE = NumberParameter.required("size", "Size").only(size -> size.isInt()
            && size.toInt() >= 1 && size.toInt() <= LARGEST, "a whole number from 1 to " + LARGEST);
    private static final ChoiceParameter.Choice FOUR = new ChoiceParameter.Choice("4", "above, below, left and right");
    private static final ChoiceParameter.Choice EIGHT = new ChoiceParameter.Choice("8", "those at the corners as well");
    private static final ChoiceParameter NEIGHBORS = new ChoiceParameter("neighbors", "Neighbors",
            java.util.Optional.empty(), List.of(FOUR, EIGHT));

    private final Function<Arguments, Weights> weights;
    private final Arguments first;

    private ReadyKernel(String name, String title, String sentence, String formula, Arguments first,
            Function<Arguments, Weights> weights, Parameter<?>... own) {
        super(name, title, sentence, formula, Border.ZERO, own);
        this.weights = weights;
        this.first = first;
    }

    /** @return {@code box size=n}: the mean of the window */
    public static ReadyKernel box() {
        return new ReadyKernel("box", "Box mean", "Takes the mean of the window around each pixel.", "s = Σ r ÷ n²",
                small(SIZE), arguments -> box(arguments.get(SIZE).number().toInt()), SIZE);
    }

    private static Weights box(int size) {
        return Weights.centred(Collections.nCopies(size, Collections.nCopies(size, Rational.ONE)));
    }

    /** @return {@code binomial size=n}: weights from Pascal's row, across and down */
    public static ReadyKernel binomial() {
        return new ReadyKernel("binomial", "Binomial mean",
                "Takes a mean of the window that counts the middle most: a row of Pascal's triangle across and down.",
                "s = Σ w × r ÷ Σ w", small(SIZE), arguments -> binomial(arguments.get(SIZE).number().toInt()), SIZE);
    }

    private static Weights binomial(int size) {
        List<Rational> row = new ArrayList<>();
        BigInteger number = BigInteger.ONE;
        for (int k = 0; k < size; k++) {
            row.add(Rational.of(number, BigInteger.ONE));
            number = number.multiply(BigInteger.valueOf(size - 1L - k)).divide(BigInteger.valueOf(k + 1L));
        }
        return Weights.centred(row.stream().map(down -> row.stream().map(down::times).toList()).toList());
    }

    /** @return {@code sharpen}: five times the pixel less its four neighbors */
    public static ReadyKernel sharpen() {
        return new ReadyKernel("sharpen", "Sharpen", "Five times the pixel less its four neighbors: edges stand out.",
                "s = 5 × r − above − below − left − right", Arguments.NONE,
                arguments -> Weights.centred(new int[] {0, -1, 0}, new int[] {-1, 5, -1}, new int[] {0, -1, 0}));
    }

    /** @return {@code laplacian neighbors=4|8}: the neighbors less as many times the pixel */
    public static ReadyKernel laplacian() {
        return new ReadyKernel("laplacian", "Laplacian", "The neighbors less as many times the pixel: 0 where nothing changes.",
                "s = Σ neighbors − 4 × r, or − 8 × r", Arguments.NONE.with(NEIGHBORS, FOUR),
                arguments -> arguments.get(NEIGHBORS).equals(FOUR)
                        ? Weights.centred(new int[] {0, 1, 0}, new int[] {1, -4, 1}, new int[] {0, 1, 0})
                        : Weights.centred(new int[] {1, 1, 1}, new int[] {1, -8, 1}, new int[] {1, 1, 1}), NEIGHBORS);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, first);
    }

    @Override
    public Operation bind(Step step, Image before) {
        Weights laid = weights.apply(step.arguments());
        return new KernelOperation(step, before, window(step.arguments(), before, laid.height(), laid.width(),
                laid.anchorRow(), laid.anchorColumn()), laid, false);
    }
}
