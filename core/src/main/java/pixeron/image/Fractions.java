package pixeron.image;

/**
 * The samples of an exact real-valued image.
 *
 * @param numerators in reading order, not to be changed
 * @param denominator of all of them, greater than 0
 */
public record Fractions(long[] numerators, long denominator) {

    /** Returns the largest size of a numerator. */
    public long largest() {
        long largest = 0;
        for (long numerator : numerators) {
            largest = Math.max(largest, Math.abs(numerator));
        }
        return largest;
    }
}
