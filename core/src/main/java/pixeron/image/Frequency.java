package pixeron.image;

/**
 * How often a wave comes round over an image.
 *
 * @param u over the rows, −⌊H ÷ 2⌋ … ⌈H ÷ 2⌉ − 1
 * @param v over the columns, −⌊W ÷ 2⌋ … ⌈W ÷ 2⌉ − 1
 */
public record Frequency(int u, int v) {

    /** @return u² + v², the square of the distance from the frequency zero */
    public long squared() {
        return (long) u * u + (long) v * v;
    }

    @Override
    public String toString() {
        return "(" + signed(u) + ", " + signed(v) + ")";
    }

    private static String signed(int number) {
        return number < 0 ? "\u2212" + -(long) number : String.valueOf(number);
    }
}
