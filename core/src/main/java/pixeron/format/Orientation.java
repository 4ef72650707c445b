package pixeron.format;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.function.UnaryOperator;
import pixeron.image.ColorImage;
import pixeron.image.Image;

/**
 * How a photo must be turned to stand upright: a telephone keeps the rows of its sensor and notes in the file how it
 * was
 * held.
 *
 * @param number 1–8 as the standard for such notes (EXIF) counts them; 1 is upright
 */
record Orientation(int number) {

    private static final int UPRIGHT = 1;
    private static final int LAST = 8;
    /** From here on rows and columns change places. */
    private static final int FIRST_TURNED = 5;

    /** Returns how the picture in these bytes is to be turned; upright where nothing sensible is noted. */
    static Orientation of(byte[] bytes, String format) {
        if (!format.equals("jpeg")) {
            return new Orientation(UPRIGHT);
        }
        try {
            ExifIFD0Directory noted = ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes), bytes.length)
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            Integer number = noted == null ? null : noted.getInteger(ExifDirectoryBase.TAG_ORIENTATION);
            return new Orientation(number == null || number < UPRIGHT || number > LAST ? UPRIGHT : number);
        } catch (ImageProcessingException | IOException | RuntimeException unreadable) {
            // A note that cannot be read says nothing; the picture itself is read by other code.
            return new Orientation(UPRIGHT);
        }
    }

    /** Returns the picture standing upright, with a note where it was turned. */
    LoadedImage apply(LoadedImage loaded) {
        if (number == UPRIGHT) {
            return loaded;
        }
        UnaryOperator<Image> turned = this::apply;
        return new LoadedImage(loaded.gray().map(turned), loaded.color().map(picture -> new ColorImage(
                apply(picture.red()), apply(picture.green()), apply(picture.blue()), picture.alpha().map(turned))),
                loaded.format(), loaded.channels(), loaded.notes())
                .withNote("The photo was rotated as noted in its file.");
    }

    /** Returns the image with each sample at its upright place. */
    Image apply(Image image) {
        boolean isTurned = number >= FIRST_TURNED;
        int rows = isTurned ? image.columns() : image.rows();
        int columns = isTurned ? image.rows() : image.columns();
        return Image.ofLevels(rows, columns, image.maximumLevel(), n -> {
            int i = n / columns;
            int j = n % columns;
            return image.level(switch (number) {
                case 2 -> i * columns + columns - 1 - j;
                case 3 -> (rows - 1 - i) * columns + columns - 1 - j;
                case 4 -> (rows - 1 - i) * columns + j;
                case 5 -> j * rows + i;
                case 6 -> (columns - 1 - j) * rows + i;
                case 7 -> (columns - 1 - j) * rows + rows - 1 - i;
                case 8 -> j * rows + rows - 1 - i;
                default -> n;
            });
        });
    }
}
