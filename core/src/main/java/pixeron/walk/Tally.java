package pixeron.walk;

import java.util.Arrays;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.Pixel;

/**
 * Counting the levels of an image by hand, pixel by pixel: what has been counted after so many pixels. Immutable; one
 * pixel forward or back is a new tally.
 *
 * <p>Cost of a tally: M + 1 counts; a jump to a place reads the pixels between.
 */
public final class Tally {

    private final Image image;
    private final ScanOrder order;
    private final int visited;
    private final int[] counts;

    private Tally(Image image, ScanOrder order, int visited, int... counts) {
        this.image = image;
        this.order = order;
        this.visited = visited;
        this.counts = counts;
    }

    /**
     * Returns a tally in which nothing has been counted yet.
     *
     * @param image a level image
     * @throws PixeronException if image is open
     */
    public static Tally start(Image image, ScanOrder order) {
        if (!image.isLevelImage()) {
            throw PixeronException.of("A real-valued image has values, not levels. They cannot be counted.");
        }
        return new Tally(image, order, 0, new int[image.maximumLevel() + 1]);
    }

    /**
     * Returns the tally there.
     *
     * @param place number of pixels that are counted, 0 … image.count(); places beyond are taken as the nearer end
     */
    public Tally at(int place) {
        int wanted = Math.max(0, Math.min(image.count(), place));
        int[] changed = Arrays.copyOf(counts, counts.length);
        for (int n = visited; n < wanted; n++) {
            changed[level(n)]++;
        }
        for (int n = visited - 1; n >= wanted; n--) {
            changed[level(n)]--;
        }
        return new Tally(image, order, wanted, changed);
    }

    private int level(int place) {
        return image.level(image.offset(order.pixel(image, place)));
    }

    public Image image() {
        return image;
    }

    public ScanOrder order() {
        return order;
    }

    /** Returns the number of pixels that are counted. */
    public int visited() {
        return visited;
    }

    /** Returns the pixel that was counted last; empty at the start. */
    public Optional<Pixel> pixel() {
        return visited == 0 ? Optional.empty() : Optional.of(order.pixel(image, visited - 1));
    }

    /** Returns what has been counted so far. */
    public Histogram histogram() {
        return Histogram.ofCounts(counts);
    }

    /** Returns how often a level 0–M has been counted so far. */
    public int count(int level) {
        return counts[level];
    }
}
