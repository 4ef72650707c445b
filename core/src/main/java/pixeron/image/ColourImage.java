package pixeron.image;

import java.util.Optional;
import pixeron.PixeronException;

/**
 * A picture with three colour channels, each an image of its own, and perhaps transparency. It is not calculated with:
 * a named rule makes it gray first.
 *
 * @param red level image
 * @param green of the same size and maximum level
 * @param blue of the same size and maximum level
 * @param alpha 0 is transparent, M is opaque; empty: the picture has no transparency
 */
public record ColourImage(Image red, Image green, Image blue, Optional<Image> alpha) {

    /** @throws PixeronException if the channels differ in size or maximum level */
    public ColourImage {
        requireSame(red, green);
        requireSame(red, blue);
        alpha.ifPresent(channel -> requireSame(red, channel));
    }

    private static void requireSame(Image a, Image b) {
        if (a.rows() != b.rows() || a.columns() != b.columns() || a.maximumLevel() != b.maximumLevel()) {
            throw PixeronException.of("The channels of a picture must have one size and one maximum level.");
        }
    }

    public int rows() {
        return red.rows();
    }

    public int columns() {
        return red.columns();
    }

    public int maximumLevel() {
        return red.maximumLevel();
    }

    /** @return the number of pixels that are not fully opaque */
    public int transparentPixels() {
        int count = 0;
        for (int n = 0; alpha.isPresent() && n < alpha.get().count(); n++) {
            count += alpha.get().level(n) < maximumLevel() ? 1 : 0;
        }
        return count;
    }
}
