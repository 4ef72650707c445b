package pixeron.step;

import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * What of the image before lies under a pixel of the result: a point, or a rectangle that cuts pixels.
 *
 * @param row where it is, or begins; fractions lie between pixels
 * @param column likewise
 * @param lastRow where it ends; of a point the same as row
 * @param lastColumn likewise
 * @param isFromCorners whether a pixel reaches from its number to the next one; otherwise its number is its middle
 */
public record Footprint(Value row, Value column, Value lastRow, Value lastColumn, boolean isFromCorners) {

    /** Returns a point between pixels. */
    public static Footprint point(Value row, Value column, boolean isFromCorners) {
        return new Footprint(row, column, row, column, isFromCorners);
    }

    public boolean isPoint() {
        return row.equals(lastRow) && column.equals(lastColumn);
    }

    /**
     * Returns such as {@code 2.5}, or {@code 1.5 to 3}.
     *
     * @param first what the first row is called, 0 or 1
     */
    public String rows(int first) {
        return numbers(row, lastRow, first);
    }

    /** Returns the same of the columns. */
    public String columns(int first) {
        return numbers(column, lastColumn, first);
    }

    private String numbers(Value from, Value to, int first) {
        String start = Decimals.approximate(from.plus(Rational.of(first)));
        return isPoint() ? start : start + " to " + Decimals.approximate(to.plus(Rational.of(first)));
    }
}
