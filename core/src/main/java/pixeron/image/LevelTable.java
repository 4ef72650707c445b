package pixeron.image;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;
import java.util.stream.IntStream;

/**
 * One new level for every level, applied to all pixels: the bulk form of a point step.
 *
 * <p>Cost: about one memory access a pixel, on all cores. Images of bytes are looked up two pixels at a time in a
 * table of 65,536 pairs and read and written eight at a time.
 */
public final class LevelTable {

    /** Below this a second thread costs more than it saves. */
    private static final int SMALLEST_STRIPE = 1 << 16;
    /** Building the table of pairs costs as much as looking up about this many pixels one by one. */
    private static final int WORTH_PAIRING = 1 << 18;
    /** Pixels read and written together: four pairs. */
    private static final int GROUP = Long.BYTES;
    // Of one byte order on every machine: a group is taken apart and put together the same way round.
    private static final VarHandle GROUPS =
            MethodHandles.byteArrayViewVarHandle(long[].class, ByteOrder.LITTLE_ENDIAN);

    private final char[] levels;
    private final int maximumLevel;

    private LevelTable(char[] levels, int maximumLevel) {
        this.levels = levels;
        this.maximumLevel = maximumLevel;
    }

    /**
     * Returns the table.
     *
     * @param levels the new level for each level 0 to levels.length − 1, all in 0 to maximumLevel
     * @param maximumLevel M of the result
     */
    public static LevelTable of(char[] levels, int maximumLevel) {
        Image.requireMaximum(maximumLevel);
        return new LevelTable(levels.clone(), maximumLevel);
    }

    /**
     * Returns a new image of the same size, every pixel looked up.
     *
     * @param before a level image whose M is below the number of levels in the table
     */
    public Image applyTo(Image before) {
        if (before.samples() instanceof ByteSamples samples) {
            byte[] in = samples.bytes();
            return maximumLevel <= 255 ? image(before, new ByteSamples(bytesOf(in)))
                    : image(before, new WordSamples(wordsOf(in)));
        }
        char[] in = ((WordSamples) before.samples()).words();
        return maximumLevel <= 255 ? image(before, new ByteSamples(bytesOf(in)))
                : image(before, new WordSamples(wordsOf(in)));
    }

    /**
     * Returns a new image of the same size, pixels in the area looked up and the others as they were.
     *
     * @param before a level image with the table's M
     * @param area inside before
     */
    public Image applyTo(Image before, Area area) {
        return Image.ofLevels(before.rows(), before.columns(), maximumLevel, n -> {
            int level = before.level(n);
            return area.contains(n / before.columns(), n % before.columns()) ? levels[level] : level;
        });
    }

    private Image image(Image before, Samples samples) {
        return new Image(before.rows(), before.columns(), maximumLevel, samples);
    }

    private byte[] bytesOf(byte[] in) {
        byte[] out = new byte[in.length];
        if (in.length < WORTH_PAIRING) {
            inStripes(in.length, (from, to) -> lookUp(in, out, from, to));
            return out;
        }
        char[] pairs = pairs();
        inStripes(in.length / GROUP, (from, to) -> {
            for (int n = from * GROUP; n < to * GROUP; n += GROUP) {
                long group = (long) GROUPS.get(in, n);
                GROUPS.set(out, n, pairs[(int) group & 0xFFFF]
                        | (long) pairs[(int) (group >>> 16) & 0xFFFF] << 16
                        | (long) pairs[(int) (group >>> 32) & 0xFFFF] << 32
                        | (long) pairs[(int) (group >>> 48)] << 48);
            }
        });
        lookUp(in, out, in.length / GROUP * GROUP, in.length);
        return out;
    }

    private void lookUp(byte[] in, byte[] out, int from, int to) {
        for (int n = from; n < to; n++) {
            out[n] = (byte) levels[in[n] & 0xFF];
        }
    }

    /** The result for every two neighboring bytes; levels above the table's end never occur and stay 0. */
    private char[] pairs() {
        char[] pairs = new char[1 << 16];
        for (int high = 0; high < levels.length; high++) {
            for (int low = 0; low < levels.length; low++) {
                pairs[high << 8 | low] = (char) (levels[high] << 8 | levels[low]);
            }
        }
        return pairs;
    }

    private byte[] bytesOf(char[] in) {
        byte[] out = new byte[in.length];
        inStripes(in.length, (from, to) -> {
            for (int n = from; n < to; n++) {
                out[n] = (byte) levels[in[n]];
            }
        });
        return out;
    }

    private char[] wordsOf(byte[] in) {
        char[] out = new char[in.length];
        inStripes(in.length, (from, to) -> {
            for (int n = from; n < to; n++) {
                out[n] = levels[in[n] & 0xFF];
            }
        });
        return out;
    }

    private char[] wordsOf(char[] in) {
        char[] out = new char[in.length];
        inStripes(in.length, (from, to) -> {
            for (int n = from; n < to; n++) {
                out[n] = levels[in[n]];
            }
        });
        return out;
    }

    private interface Stripe {
        void run(int from, int to);
    }

    private static void inStripes(int count, Stripe stripe) {
        int stripes = Math.max(1, Math.min(Runtime.getRuntime().availableProcessors(), count / SMALLEST_STRIPE));
        if (stripes == 1) {
            stripe.run(0, count);
            return;
        }
        IntStream.range(0, stripes).parallel().forEach(s ->
                stripe.run((int) ((long) count * s / stripes), (int) ((long) count * (s + 1) / stripes)));
    }
}
