package pixeron.step.neighborhood;

import java.util.Arrays;
import pixeron.number.Approximate;
import pixeron.number.Rounding;
import pixeron.step.Finish;

/**
 * The numbers of codes one by one. Of the codes seen last so many are kept as stay near to the processor: neighbors have
 * the same ones often, and a table of all would take longer to read than most numbers to calculate. One for each thread.
 */
final class RecentNumbers implements CodeNumbers {

    private static final int KEPT = 1 << 12;
    /** Multiplied by this, codes that lie near to each other or in even steps come to lie apart. */
    private static final int SPREAD = 0x9E3779B1;
    private static final int SPREAD_SHIFT = 20;

    private final Codes codes;
    private final Finish finish;
    private final boolean isExact;
    private final int[] seen = new int[KEPT];
    private final double[] numbers = new double[KEPT];

    RecentNumbers(Codes codes, Finish finish) {
        this.codes = codes;
        this.finish = finish;
        this.isExact = finish.rounding() != Rounding.NONE;
        // No code is below the smallest one.
        Arrays.fill(seen, codes.least() - 1);
    }

    @Override
    public void of(int[] found, double[] into, int at, int apart, int count) {
        for (int j = 0; j < count; j++) {
            int code = found[j];
            int slot = code * SPREAD >>> SPREAD_SHIFT;
            if (seen[slot] != code) {
                numbers[slot] = isExact ? finish.apply(codes.value(code)).asDouble() : Approximate.snappedDouble(codes.number(code), finish.maximumLevel());
                seen[slot] = code;
            }
            into[at + apart * j] = numbers[slot];
        }
    }
}
