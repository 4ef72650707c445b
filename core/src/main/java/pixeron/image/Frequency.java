package pixeron.image;

import pixeron.number.Decimals;

/**
 * How often a wave comes round over an image.
 *
 * @param u over the rows, −⌊H ÷ 2⌋ … ⌈H ÷ 2⌉ − 1
 * @param v over the columns, −⌊W ÷ 2⌋ … ⌈W ÷ 2⌉ − 1
 */
public record Frequency(int u, int v) {

    /** Returns u² + v², the square of the distance from the frequency zero. */
    public long squared() {
        return (long) u * u + (long) v * v;
    }

    @Override
    public String toString() {
        return "(" + Decimals.working((long) u) + ", " + Decimals.working((long) v) + ")";
    }
}
