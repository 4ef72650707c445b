package pixeron.step.kernel;

import java.lang.ref.SoftReference;
import pixeron.formula.Function;
import pixeron.number.Approximate;

/**
 * The directions of pairs of whole numbers in degrees, as they are written: what is near to a multiple of ½ taken as it. An arc tangent takes
 * longer than all else that is done for a pixel, and sums of levels of 8 bits are the same pairs again and again: those are kept, 16 MiB while
 * nobody else needs the memory. Safe for any number of threads.
 */
final class Angles {

    /** The largest sum of Sobel's weights over levels of 8 bits. */
    private static final int LARGEST = 4 * 255;
    /** One row for each |y|, with every second x: of many weights both sums are even or both are odd, and what is never asked for would be between. */
    private static final int ROW = LARGEST + 1;
    private static final int HALF = (LARGEST + 1) * ROW;
    private static volatile SoftReference<Angles> latest = new SoftReference<>(null);

    private final int maximumLevel;
    /** The bits of doubles; 0 where it was not asked for yet. Two threads may write the same one, which processors of 64 bits do as a whole. */
    private final long[] known = new long[2 * HALF];

    private Angles(int maximumLevel) {
        this.maximumLevel = maximumLevel;
    }

    /** @param maximumLevel how near is near: see {@link Approximate#snappedDouble} */
    static Angles of(int maximumLevel) {
        Angles angles = latest.get();
        if (angles == null || angles.maximumLevel != maximumLevel) {
            angles = new Angles(maximumLevel);
            latest = new SoftReference<>(angles);
        }
        return angles;
    }

    /** Returns the direction of (x, y), above −180 up to 180; 0 for (0, 0). */
    double of(int x, int y) {
        int down = Math.abs(y);
        if (down > LARGEST || Math.abs(x) > LARGEST) {
            return made(x, y);
        }
        int place = (x + y & 1) * HALF + down * ROW + (x + LARGEST >> 1);
        long bits = known[place];
        if (bits == 0) {
            bits = Double.doubleToRawLongBits(made(x, down));
            known[place] = bits;
        }
        // The sign is the first bit; of random levels no processor guesses which way a question for it goes.
        return Double.longBitsToDouble(bits ^ (long) (y >>> Integer.SIZE - 1) << Long.SIZE - 1);
    }

    private double made(int x, int y) {
        if (y == 0) {
            return x < 0 ? 180 : 0;
        }
        return Approximate.snappedDouble(Function.degrees(x, y), maximumLevel);
    }
}
