package pixeron.step;

import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;

/**
 * What coefficients are multiplied with, by their distance D from frequency zero.
 *
 * @param end the largest distance that there is
 * @param factor by the distance, 0–1
 * @param marks the distances that the step names, which can be dragged
 */
public record Profile(double end, DoubleUnaryOperator factor, List<Mark> marks) {

    /**
     * A distance that a key of the step gives.
     *
     * @param name the key
     * @param at the distance
     * @param change what the step becomes with another distance
     */
    public record Mark(String name, double at, DoubleFunction<Step> change) {
    }

    public Profile {
        marks = List.copyOf(marks);
    }
}
