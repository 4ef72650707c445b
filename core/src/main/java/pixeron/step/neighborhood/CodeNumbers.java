package pixeron.step.neighborhood;

/** The numbers of codes, rounded and as they are written, for results that are no levels. One for each thread. */
@FunctionalInterface
public interface CodeNumbers {

    /**
     * Converts codes to numbers.
     *
     * @param codes in one run of {@link CellRows}
     * @param into gets the number of each code that represents a column
     * @param at where the first one goes
     * @param apart how far one goes from the one before
     * @param count how many represent a column
     */
    void of(int[] codes, double[] into, int at, int apart, int count);
}
