package pixeron.image;

import pixeron.PixeronException;

/**
 * How often every level occurs: n(k) for k = 0–M.
 *
 * <p>Cost: one pass over the pixels.
 */
public final class Histogram {

    private final int[] counts;
    private final int[] running;

    private Histogram(int[] counts) {
        this.counts = counts;
        this.running = counts.clone();
        java.util.Arrays.parallelPrefix(running, Integer::sum);
    }

    /** Returns C(level) = n(0) + … + n(level), for level 0–M. */
    public int running(int level) {
        return running[level];
    }

    /**
     * Returns its counts.
     *
     * @param image a level image
     * @throws PixeronException if image is open; names its first sample that is not a level
     */
    public static Histogram of(Image image) {
        return of(image, Area.all(image));
    }

    /**
     * Returns the counts of the area.
     *
     * @param image a level image
     * @param area inside image
     * @throws PixeronException if image is open anywhere; names its first sample that is not a level
     */
    public static Histogram of(Image image, Area area) {
        image.firstOpenPixel().ifPresent(pixel -> {
            throw PixeronException.of("A histogram counts levels, but the value at %s is not a whole number from 0 to %d.",
                    pixel, image.maximumLevel());
        });
        int[] counts = new int[image.maximumLevel() + 1];
        for (int i = area.row(); i < area.row() + area.height(); i++) {
            int start = i * image.columns() + area.column();
            count(image.samples(), start, start + area.width(), counts);
        }
        return new Histogram(counts);
    }

    /**
     * Returns counts that come from elsewhere, such as a tally.
     *
     * @param counts n(k) for k = 0–M, each ≥ 0
     */
    public static Histogram ofCounts(int... counts) {
        return new Histogram(counts.clone());
    }

    /** Straight over the arrays: of a large image this is what a user waits for first. */
    private static void count(Samples samples, int start, int end, int... counts) {
        if (samples instanceof ByteSamples levels) {
            byte[] bytes = levels.bytes();
            for (int n = start; n < end; n++) {
                counts[bytes[n] & 0xFF]++;
            }
        } else if (samples instanceof WordSamples levels) {
            char[] words = levels.words();
            for (int n = start; n < end; n++) {
                counts[words[n]]++;
            }
        }
    }

    /** Returns n(level), for level 0–M. */
    public int count(int level) {
        return counts[level];
    }

    /** Returns M. */
    public int maximumLevel() {
        return counts.length - 1;
    }

    /**
     * Returns the level of the pixel at that place.
     *
     * @param place 1 to N, in the order of rising levels
     */
    public int levelAt(long place) {
        int level = 0;
        long running = counts[0];
        while (running < place) {
            level++;
            running += counts[level];
        }
        return level;
    }

    /**
     * Returns the sums of n(k) over width levels each, from level 0 on; the last bin may hold fewer levels.
     *
     * @param width levels in a bin, ≥ 1
     */
    public int[] bins(int width) {
        int[] bins = new int[(counts.length + width - 1) / width];
        for (int level = 0; level < counts.length; level++) {
            bins[level / width] += counts[level];
        }
        return bins;
    }

    /** Returns the largest n(k). */
    public int tallest() {
        int tallest = 0;
        for (int count : counts) {
            tallest = Math.max(tallest, count);
        }
        return tallest;
    }
}
