package pixeron.image;

import pixeron.PixeronException;
import pixeron.number.Decimals;

/** What is asked of an image whose levels are counted or sorted into bins. */
public final class Levels {

    private Levels() {
    }

    /**
     * Checks that an image has levels.
     *
     * @param title of the step that needs levels
     * @throws PixeronException if image is open; names its first sample that is not a level
     */
    public static void require(Image image, String title) {
        image.firstOpenPixel().ifPresent(pixel -> {
            throw PixeronException.of("%s needs levels, but the value at %s is %s, not a whole number from 0 to %d.", title,
                    pixel, Decimals.table(image.value(pixel)), image.maximumLevel());
        });
    }
}
