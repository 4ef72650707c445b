package pixeron.format;

import java.util.List;
import pixeron.image.Image;

/**
 * An image and what its file said.
 *
 * @param image the samples
 * @param format short lower-case name: png, pgm, table
 * @param channels channels in the file: 1 gray, 2 gray with transparency, 3 colour, 4 colour with transparency
 * @param notes one sentence for each thing a person should know about how the numbers came about
 */
public record LoadedImage(Image image, String format, int channels, List<String> notes) {

    public LoadedImage {
        notes = List.copyOf(notes);
    }

    public static LoadedImage gray(Image image, String format) {
        return new LoadedImage(image, format, 1, List.of());
    }
}
