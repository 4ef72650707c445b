package pixeron.step.neighborhood;

import java.util.Optional;
import java.util.function.Function;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Finish;

/**
 * The fast way to a result of windows: for every pixel a whole number, its code, from which the exact value follows. A
 * code is a sum of products, or a place in a sorted window; equal codes are rounded only once.
 */
public interface Codes {

    /** Returns the smallest code there can be. */
    int least();

    /** Returns the largest code there can be; less than 2³¹ above the smallest. */
    int most();

    /** Returns the value of a code before rounding. */
    Value value(int code);

    /** Returns whether all values are doubles, as roots and angles are. */
    default boolean hasDoubles() {
        return false;
    }

    /** Returns the value of a code, where {@link #hasDoubles}, before what is near to a multiple of ½ is taken as that. */
    default double number(int code) {
        return value(code).asDouble();
    }

    /**
     * Returns the numbers of codes, where they come quicker together than each by itself.
     *
     * @param finish how they are written, as doubles
     * @param count how many pixels there are
     */
    default Optional<CodeNumbers> numbers(Finish finish, int count) {
        return Optional.empty();
    }

    /** Returns whether the value of a code depends on the cells that are there: with border=inside at the edge. */
    default boolean dependsOnCells() {
        return false;
    }

    /** Returns the value of a code at a pixel whose window leaves the image. */
    default Value valueAt(Pixel pixel, int code) {
        return value(code);
    }

    /**
     * Returns the level that is written for a code.
     *
     * @param finish one whose results are levels
     */
    default int level(int code, Finish finish) {
        return hasDoubles() ? finish.level(number(code), finish.maximumLevel()) : finish.level(value(code));
    }

    /** Returns what is in a plane where nothing is outside the image. */
    default int absent() {
        return 0;
    }

    /**
     * Values that lie on a line: (code · numerator + constant) ÷ denominator.
     *
     * @param denominator greater than 0
     */
    record Line(long numerator, long constant, long denominator) {
    }

    /** Returns the line on which all values lie, but for those of {@link #valueAt}; empty where they lie on none or its numbers do not fit. */
    default Optional<Line> line() {
        return Optional.empty();
    }

    /**
     * Levels on two sides of a cut.
     *
     * @param last the codes up to this one are low
     */
    record Cut(int last, int low, int high) {
    }

    /** Returns the cut by which all levels are one of two, but for those of {@link #valueAt}; empty where there is none. */
    default Optional<Cut> cut(Finish finish) {
        return Optional.empty();
    }

    /** Returns whether codes are sums of whole weights times samples, so that those of several columns can be added up in one number. */
    default boolean areSums() {
        return false;
    }

    /** Returns what fills rows of codes from a plane; asked for once in each thread. */
    Rows rows(Plane plane);

    /** Returns the same for columns in any order, which goes much faster for bytes; empty where one column is calculated from the one before. */
    default Optional<Function<CellRows, RunRows>> inAnyOrder() {
        return Optional.empty();
    }

    /** Codes row by row. */
    @FunctionalInterface
    interface Rows {

        /**
         * Calculates the codes of a row.
         *
         * @param row of the plane's results, from 0, one after the other
         * @param codes gets one for each column of the result
         */
        void fill(int row, int[] codes);
    }

    /** Codes row by row in the runs of {@link CellRows}. */
    @FunctionalInterface
    interface RunRows {

        /**
         * Calculates the codes of a row.
         *
         * @param row of the results, from 0, one after the other
         * @param codes gets one for each place
         */
        void fill(int row, int[][] codes);

        /** Returns the same for a plane, whose only run is a row. */
        default Rows inOneRun() {
            int[][] only = new int[1][];
            return (row, codes) -> {
                only[0] = codes;
                fill(row, only);
            };
        }
    }
}
