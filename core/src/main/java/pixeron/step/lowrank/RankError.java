package pixeron.step.lowrank;

import java.util.ArrayList;
import java.util.List;
import pixeron.image.Image;
import pixeron.step.Progress;

/**
 * What keeping the strongest patterns of an image costs and gives: the best approximation of rank k has the mean squared error Σσ² ÷ (H·W) over
 * the singular values behind the k-th, before it is rounded.
 *
 * <p>Source: C. Eckart and G. Young, The approximation of one matrix by another of lower rank, Psychometrika 1, 1936.
 *
 * @param k how many patterns are kept, from 1
 * @param mse the mean squared error
 * @param numbers how many numbers are stored: k·(H + W + 1)
 * @param percent of the H·W samples of the image
 */
public record RankError(int k, double mse, long numbers, double percent) {

    private static final double HUNDRED = 100;

    /**
     * Returns the errors for every k from 1 to the smaller side of an image.
     *
     * @throws java.util.concurrent.CancellationException when progress says they are no longer wanted
     */
    public static List<RankError> of(Image image, Progress progress) {
        SingularValues values = SingularValues.of(image, progress);
        double[] errors = values.errors();
        List<RankError> all = new ArrayList<>();
        for (int k = 1; k <= errors.length; k++) {
            all.add(new RankError(k, errors[k - 1], values.numbers(k), HUNDRED * values.numbers(k) / image.count()));
        }
        return all;
    }
}
