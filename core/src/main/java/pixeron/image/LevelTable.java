package pixeron.image;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;
import java.util.stream.IntStream;

/**
 * One new level for every level, applied to all pixels: the bulk form of a point step.
 *
 * <p>Cost: about one memory access a pixel, on all cores. Images of bytes are looked up two pixels at a time in a
 * table of 65,536 pairs, because the lookup, not memory, is what takes the time.
 */
public final class LevelTable {

    /** Below this a second thread costs more than it saves. */
    private static final int SMALLEST_STRIPE = 1 << 16;
    /** Building the table of pairs costs as much as looking up about this many pixels one by one. */
    private static final int WORTH_PAIRING = 1 << 18;
    private static final VarHandle PAIR =
            MethodHandles.byteArrayViewVarHandle(short[].class, ByteOrder.nativeOrder());

    private final char[] levels;
    private final int maximumLevel;

    private LevelTable(char[] levels, int maximumLevel) {
        this.levels = levels;
        this.maximumLevel = maximumLevel;
    }

    /**
     * @param levels the new level for each level 0 … levels.length − 1, all in 0 … maximumLevel
     * @param maximumLevel M of the result
     * @return the table
     */
    public static LevelTable of(char[] levels, int maximumLevel) {
        Image.requireMaximum(maximumLevel);
        return new LevelTable(levels.clone(), maximumLevel);
    }

    /**
     * @param before a level image whose M is below the number of levels in the table
     * @return a new image of the same size, every pixel looked up
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
     * @param before a level image with the table's M
     * @param area inside before
     * @return a new image of the same size, pixels in the area looked up and the others as they were
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
        // Cloning first leaves no array to be zeroed, which would cost as much again as the copy.
        byte[] out = in.clone();
        if (in.length < WORTH_PAIRING) {
            inStripes(in.length, (from, to) -> lookUp(in, out, from, to));
            return out;
        }
        short[] pairs = pairs();
        inStripes(in.length / 2, (from, to) -> {
            for (int n = 2 * from; n < 2 * to; n += 2) {
                PAIR.set(out, n, pairs[(short) PAIR.get(out, n) & 0xFFFF]);
            }
        });
        lookUp(in, out, in.length & ~1, in.length);
        return out;
    }

    private void lookUp(byte[] in, byte[] out, int from, int to) {
        for (int n = from; n < to; n++) {
            out[n] = (byte) levels[in[n] & 0xFF];
        }
    }

    /** The result for every two neighboring bytes; levels above the table's end never occur and stay 0. */
    private short[] pairs() {
        short[] pairs = new short[1 << 16];
        for (int high = 0; high < levels.length; high++) {
            for (int low = 0; low < levels.length; low++) {
                pairs[high << 8 | low] = (short) (levels[high] << 8 | levels[low]);
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
        char[] out = in.clone();
        inStripes(in.length, (from, to) -> {
            for (int n = from; n < to; n++) {
                out[n] = levels[out[n]];
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
