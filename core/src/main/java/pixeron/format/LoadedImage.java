package pixeron.format;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Result;

/**
 * What a file held: a gray image, or a color picture that a gray rule must still be chosen for.
 *
 * @param gray the samples; empty for a color picture
 * @param color the channels; empty for a gray image
 * @param format short lower-case name: png, jpeg, bmp, gif, tiff, pbm, pgm, ppm, pam, table
 * @param channels channels in the file: 1 gray, 2 gray with transparency, 3 color, 4 color with transparency
 * @param notes one sentence for each thing a user should know about how the numbers came about
 * @param summary what was read, in one line; empty for a picture and a plain table
 */
public record LoadedImage(Optional<Image> gray, Optional<ColorImage> color, String format, int channels,
        List<String> notes, Optional<String> summary) {

    /** The format of numbers that were written as text, in whatever way. */
    public static final String TABLE = "table";

    public LoadedImage {
        notes = List.copyOf(notes);
    }

    /** A picture or a plain table. */
    LoadedImage(Optional<Image> gray, Optional<ColorImage> color, String format, int channels, List<String> notes) {
        this(gray, color, format, channels, notes, Optional.empty());
    }

    LoadedImage withSummary(String line) {
        return new LoadedImage(gray, color, format, channels, notes, Optional.of(line));
    }

    public static LoadedImage gray(Image image, String format) {
        return new LoadedImage(Optional.of(image), Optional.empty(), format, 1, List.of());
    }

    public static LoadedImage color(ColorImage picture, String format, int channels) {
        return new LoadedImage(Optional.empty(), Optional.of(picture), format, channels, List.of());
    }

    /**
     * A picture whose pixels are packed colors, such as a screen or the clipboard has them.
     *
     * @param rows at least 1
     * @param columns at least 1
     * @param argb the pixel at a row-major offset as 0xAARRGGBB; asked in order, once for each channel
     * @return a gray image where all pixels are opaque and gray, else a color picture
     */
    public static LoadedImage packed(int rows, int columns, boolean hasAlpha, IntUnaryOperator argb, String format) {
        Image red = byteOf(rows, columns, argb, 16);
        Image green = byteOf(rows, columns, argb, 8);
        Image blue = byteOf(rows, columns, argb, 0);
        Optional<Image> alpha = hasAlpha ? Optional.of(byteOf(rows, columns, argb, 24)) : Optional.empty();
        return alpha.isEmpty() && red.equals(green) && red.equals(blue) ? gray(red, format)
                : color(new ColorImage(red, green, blue, alpha), format, alpha.isPresent() ? 4 : 3);
    }

    private static Image byteOf(int rows, int columns, IntUnaryOperator argb, int shift) {
        return Image.ofLevels(rows, columns, Image.BYTE_MAXIMUM, n -> argb.applyAsInt(n) >>> shift & 0xFF);
    }

    /** Returns whether it was a table of numbers, which does not say its maximum level. */
    public boolean isTable() {
        return format.equals(TABLE);
    }

    /** Returns this with another gray image in the place of its own. */
    public LoadedImage with(Image image) {
        return new LoadedImage(Optional.of(image), color, format, channels, notes, summary);
    }

    /** Returns this with one more note. */
    public LoadedImage withNote(String note) {
        List<String> all = new ArrayList<>(notes);
        all.add(note);
        return new LoadedImage(gray, color, format, channels, all, summary);
    }

    /** Returns this with the gray image that was made of the color picture, and how. */
    public LoadedImage madeGray(Image image, String how) {
        LoadedImage noted = withNote(how);
        return new LoadedImage(Optional.of(image), color, format, channels, noted.notes, summary);
    }

    /** Returns what the file held, of whatever kind. */
    public Result result() {
        return color.<Result>map(picture -> picture).orElseGet(gray::orElseThrow);
    }

    /** Returns the gray image of a file that has one. */
    public Image image() {
        return gray.orElseThrow();
    }
}
