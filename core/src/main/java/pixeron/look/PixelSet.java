package pixeron.look;

import java.util.BitSet;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntPredicate;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;

/**
 * Some pixels of an image, such as all with one level. Immutable.
 */
public final class PixelSet {

    private final BitSet offsets;
    private final int columns;

    private PixelSet(BitSet offsets, int columns) {
        this.offsets = offsets;
        this.columns = columns;
    }

    /**
     * @param image whose pixels
     * @param isIn tells of a row-major offset whether its pixel belongs to the set; called once for each, in order
     */
    static PixelSet of(Image image, IntPredicate isIn) {
        BitSet offsets = new BitSet(image.count());
        for (int n = 0; n < image.count(); n++) {
            if (isIn.test(n)) {
                offsets.set(n);
            }
        }
        return new PixelSet(offsets, image.columns());
    }

    /**
     * Returns all pixels with a level in low to high.
     *
     * @param image a level image; an open one has pixels of a level where its value is that whole number
     * @param low lowest level
     * @param high highest level
     */
    public static PixelSet ofLevels(Image image, int low, int high) {
        return image.isLevelImage() ? of(image, n -> image.level(n) >= low && image.level(n) <= high)
                : of(image, n -> Image.isLevel(image.value(n), Image.LARGEST_MAXIMUM)
                        && image.asDouble(n) >= low && image.asDouble(n) <= high);
    }

    /**
     * Returns the pixels of the frame that represent one of this set.
     *
     * @param to another frame
     * @param place the pixel of this set's image that a pixel of the frame represents; empty where it represents none
     */
    public PixelSet in(Frame to, Function<Pixel, Optional<Pixel>> place) {
        BitSet there = new BitSet(to.count());
        for (int n = 0; n < to.count(); n++) {
            if (place.apply(to.pixel(n)).filter(pixel -> contains(pixel.row() * columns + pixel.column())).isPresent()) {
                there.set(n);
            }
        }
        return new PixelSet(there, to.columns());
    }

    /** Returns the number of pixels. */
    public int count() {
        return offsets.cardinality();
    }

    /** Returns whether the pixel at a row-major offset belongs to the set. */
    public boolean contains(int offset) {
        return offsets.get(offset);
    }

    /** Returns whether a pixel of the set lies between two row-major offsets, both included. */
    public boolean containsAny(int first, int last) {
        int next = offsets.nextSetBit(first);
        return next >= 0 && next <= last;
    }

    /** Returns the first pixel behind a place in reading order, or else the first of all; empty for an empty set. */
    public Optional<Pixel> nextAfter(Pixel place) {
        int next = offsets.nextSetBit(place.row() * columns + place.column() + 1);
        int found = next < 0 ? offsets.nextSetBit(0) : next;
        return found < 0 ? Optional.empty() : Optional.of(new Pixel(found / columns, found % columns));
    }
}
