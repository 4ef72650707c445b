package pixeron.step.plain;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.numbers.fraction.BigFraction;

/** An image with something around it, read by plain loops. */
final class PlainWindow {

    private final int[][] levels;
    private final String border;
    private final BigFraction outside;

    PlainWindow(int[][] levels, String border, BigFraction outside) {
        this.levels = levels;
        this.border = border;
        this.outside = outside;
    }

    int rows() {
        return levels.length;
    }

    int columns() {
        return levels[0].length;
    }

    boolean isInside(int row, int column) {
        return row >= 0 && column >= 0 && row < rows() && column < columns();
    }

    /** Steps back and forth until it is inside, as one does with a finger on paper. */
    private int folded(int start, int size) {
        int at = start;
        if (border.equals("mirror-whole") && size == 1) {
            return 0;
        }
        int again = border.equals("mirror-half") ? 1 : 0;
        while (at < 0 || at >= size) {
            at = at < 0 ? -at - again : 2 * size - 2 + again - at;
        }
        return at;
    }

    private int source(int at, int size) {
        return switch (border) {
            case "repeat" -> at < 0 ? 0 : at >= size ? size - 1 : at;
            case "mirror-half", "mirror-whole" -> folded(at, size);
            case "wrap" -> (at % size + size) % size;
            default -> at;
        };
    }

    /** Returns what is there; null for nothing. */
    BigFraction at(int row, int column) {
        if (isInside(row, column)) {
            return Numbers.whole(levels[row][column]);
        }
        int i = source(row, rows());
        int j = source(column, columns());
        if (isInside(i, j)) {
            return Numbers.whole(levels[i][j]);
        }
        return border.equals("zero") ? Numbers.ZERO : border.equals("constant") ? outside : null;
    }

    /** Returns whether all cells of a window are on the image. */
    boolean fits(int row, int column, int height, int width, int down, int right) {
        return isInside(row - down, column - right) && isInside(row - down + height - 1, column - right + width - 1);
    }

    /** Returns what is in a square window around a pixel, sorted. */
    List<BigFraction> sorted(int row, int column, int size) {
        int back = (size - 1) / 2;
        List<BigFraction> all = new ArrayList<>();
        for (int i = row - back; i < row - back + size; i++) {
            for (int j = column - back; j < column - back + size; j++) {
                BigFraction value = at(i, j);
                if (value != null) {
                    all.add(value);
                }
            }
        }
        all.sort(BigFraction::compareTo);
        return all;
    }

    /** Returns Σ w·r over what is there, weights laid with this anchor, and beside it the Σ w of the same cells. */
    BigFraction[] sum(BigFraction[][] weights, int row, int column, int down, int right) {
        BigFraction sum = Numbers.ZERO;
        BigFraction used = Numbers.ZERO;
        for (int a = 0; a < weights.length; a++) {
            for (int b = 0; b < weights[0].length; b++) {
                BigFraction value = at(row + a - down, column + b - right);
                if (value != null) {
                    sum = sum.add(weights[a][b].multiply(value));
                    used = used.add(weights[a][b]);
                }
            }
        }
        return new BigFraction[] {sum, used};
    }

    BigFraction mean(int row, int column, int size) {
        List<BigFraction> all = sorted(row, column, size);
        return all.stream().reduce(Numbers.ZERO, BigFraction::add).divide(all.size());
    }
}
