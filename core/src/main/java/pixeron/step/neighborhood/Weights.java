package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.number.Rational;

/**
 * The weights of a kernel with the cell that stands on the pixel.
 *
 * @param rows the weights, row by row
 * @param anchorRow row of the anchor, from 0
 * @param anchorColumn its column
 * @param divisor what the sum is divided by; empty: the sum of the weights, or 1 when that is 0
 * @param offset added at the end
 */
record Weights(List<List<Rational>> rows, int anchorRow, int anchorColumn, Optional<Rational> divisor, Rational offset) {

    /** @return weights with the anchor in the middle, divisor auto and no offset */
    static Weights centred(List<List<Rational>> rows) {
        return new Weights(rows, (rows.size() - 1) / 2, (rows.get(0).size() - 1) / 2, Optional.empty(), Rational.ZERO);
    }

    /** @return weights from whole numbers, row by row */
    static Weights centred(int[]... rows) {
        List<List<Rational>> all = new ArrayList<>();
        for (int[] row : rows) {
            List<Rational> weights = new ArrayList<>();
            for (int weight : row) {
                weights.add(Rational.of(weight));
            }
            all.add(weights);
        }
        return centred(all);
    }

    int height() {
        return rows.size();
    }

    int width() {
        return rows.get(0).size();
    }

    Rational at(int row, int column) {
        return rows.get(row).get(column);
    }

    /** @return weights and anchor turned by 180°: convolution with these is correlation with those */
    Weights turned() {
        List<List<Rational>> turned = new ArrayList<>();
        for (int i = height() - 1; i >= 0; i--) {
            List<Rational> row = new ArrayList<>();
            for (int j = width() - 1; j >= 0; j--) {
                row.add(at(i, j));
            }
            turned.add(row);
        }
        return new Weights(turned, height() - 1 - anchorRow, width() - 1 - anchorColumn, divisor, offset);
    }

    Rational sum() {
        return rows.stream().flatMap(List::stream).reduce(Rational.ZERO, Rational::plus);
    }

    /** @return a sum of weights as a divisor: itself, or 1 when it is 0 */
    static Rational divisor(Rational sum) {
        return sum.signum() == 0 ? Rational.ONE : sum;
    }
}
