package pixeron.app.bench.steps;

import java.util.List;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import pixeron.app.sheet.paint.Grays;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.ModelImage;
import pixeron.image.Result;
import pixeron.image.Spectrum;

/** A small square picture of an image. */
public final class Thumbnail extends ImageView {

    private static final int BRIGHTEST = 255;

    private Result shown;

    /**
     * Draws an image once, in a square.
     *
     * @param image an image, or one with color
     * @param size side in points
     */
    public Thumbnail(Result image, int size) {
        setFitWidth(size);
        setFitHeight(size);
        setSmooth(false);
        show(image);
    }

    /** Draws another image, unless it is the one that is shown. */
    public void show(Result image) {
        if (image != shown) {
            shown = image;
            int size = (int) getFitWidth();
            setImage(image instanceof ColorImage color ? picture(color, size) : picture(image instanceof Spectrum spectrum ? spectrum.picture() : image instanceof ModelImage model ? model.brightness() : (Image) image, size));
        }
    }

    /** A small image gets a whole number of points for each pixel; of a large one the nearest samples are drawn. */
    private static WritableImage picture(Image image, int size) {
        int side = 2 * size;
        int[] offsets = offsets(image.frame(), side);
        int[] points = new int[offsets.length];
        // As on the sheets, 0 is in the middle where there are values below it.
        double lowest = 0;
        double reach = 0;
        for (int offset : offsets) {
            double value = offset < 0 ? 0 : image.asDouble(offset);
            lowest = Math.min(lowest, value);
            reach = Math.max(reach, Math.abs(value));
        }
        for (int n = 0; n < offsets.length; n++) {
            if (offsets[n] >= 0) {
                double gray = lowest == 0 ? Grays.of(image, offsets[n])
                        : (image.asDouble(offsets[n]) + reach) / (2 * reach) * BRIGHTEST;
                points[n] = Grays.point(gray);
            }
        }
        return drawn(points, side);
    }

    /** Transparent parts lie on white. */
    private static WritableImage picture(ColorImage image, int size) {
        int side = 2 * size;
        int[] offsets = offsets(image.frame(), side);
        int[] points = new int[offsets.length];
        for (int n = 0; n < offsets.length; n++) {
            int offset = offsets[n];
            if (offset >= 0) {
                double alpha = image.alpha().map(channel -> Grays.of(channel, offset) / BRIGHTEST).orElse(1.0);
                int point = 0xFF;
                for (Image channel : List.of(image.red(), image.green(), image.blue())) {
                    point = point << 8 | (int) (alpha * Grays.of(channel, offset) + (1 - alpha) * BRIGHTEST + 0.5);
                }
                points[n] = point;
            }
        }
        return drawn(points, side);
    }

    /** All at once: point by point takes many times as long. */
    private static WritableImage drawn(int[] points, int side) {
        WritableImage picture = new WritableImage(side, side);
        picture.getPixelWriter().setPixels(0, 0, side, side, PixelFormat.getIntArgbInstance(), points, 0, side);
        return picture;
    }

    /** Returns the sample for each point, row by row; −1 beside the image. */
    private static int[] offsets(Frame image, int side) {
        double span = Math.max(image.rows(), image.columns());
        int[] offsets = new int[side * side];
        for (int n = 0; n < offsets.length; n++) {
            int row = (int) Math.floor((n / side + 0.5) * span / side - (span - image.rows()) / 2);
            int column = (int) Math.floor((n % side + 0.5) * span / side - (span - image.columns()) / 2);
            boolean isInside = row >= 0 && row < image.rows() && column >= 0 && column < image.columns();
            offsets[n] = isInside ? row * image.columns() + column : -1;
        }
        return offsets;
    }
}
