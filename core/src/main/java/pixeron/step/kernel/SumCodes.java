package pixeron.step.kernel;

import java.util.Optional;
import java.util.function.UnaryOperator;
import pixeron.image.Image;
import pixeron.number.Value;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Plane;
import pixeron.step.neighborhood.Window;

/** The codes of a step whose value follows from one weighted sum of its window, ÷ divisor + offset. */
public final class SumCodes implements Codes {

    private final KernelCodes sum;
    private final UnaryOperator<Value> value;

    private SumCodes(KernelCodes sum, UnaryOperator<Value> value) {
        this.sum = sum;
        this.value = value;
    }

    /**
     * @param value what becomes of the sum
     * @return the codes; empty where a weight is no fraction or a sum could become too large
     */
    public static Optional<Codes> of(Weights weights, Image before, Window window, UnaryOperator<Value> value) {
        return KernelCodes.of(weights, before, window, false).map(sum -> new SumCodes(sum, value));
    }

    @Override
    public int least() {
        return sum.least();
    }

    @Override
    public int most() {
        return sum.most();
    }

    @Override
    public Value value(int code) {
        return value.apply(sum.value(code));
    }

    @Override
    public Rows rows(Plane plane) {
        return sum.rows(plane);
    }
}
