package pixeron.step.neighborhood;

import java.util.Arrays;
import pixeron.image.Image;
import pixeron.number.Rational;

/**
 * What is around the rows of a result: for each row and column of its windows' cells the one of the image that is there.
 *
 * @param first the first row of the result
 * @param outside what is where there is none
 * @param left how many columns are before the image's first one
 * @param columns for each the one of the image; −1 where there is none
 */
record Margins(Image image, Window window, int first, int outside, int left, int... columns) {

    /** @param absent is where nothing is outside */
    static Margins of(Image image, Window window, int first, int absent) {
        boolean isGiven = window.border() == Border.ZERO || window.border() == Border.CONSTANT;
        int left = window.border() == Border.CROP ? 0 : window.anchorColumn();
        int[] columns = new int[window.frameOf(image).columns() + window.width() - 1];
        Arrays.setAll(columns, n -> window.border().source(n - left, image.columns()));
        return new Margins(image, window, first, isGiven ? ((Rational) window.outside()).toInt() : absent, left, columns);
    }

    /** Returns the columns of the result. */
    int resultColumns() {
        return columns.length - window.width() + 1;
    }

    /** Returns the row of the image that is at a row of the plane, from the first row of the first window on; negative where there is none. */
    int row(int n) {
        int up = window.border() == Border.CROP ? 0 : window.anchorRow();
        return window.border().source(first + n - up, image.rows());
    }

    /** What is beside the image. */
    @FunctionalInterface
    interface Side {

        /** @param column of the image that is there; negative where there is none */
        void take(int at, int column);
    }

    /** Visits the columns that are beside the image. */
    void forSides(Side side) {
        for (int j = 0; j < left; j++) {
            side.take(j, columns[j]);
        }
        for (int j = left + image.columns(); j < columns.length; j++) {
            side.take(j, columns[j]);
        }
    }
}
