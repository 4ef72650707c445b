package pixeron.app.bench;

import javafx.scene.image.ImageView;
import javafx.scene.image.WritableImage;
import pixeron.app.sheet.Grays;
import pixeron.image.Image;

/** A small square picture of an image. */
public final class Thumbnail extends ImageView {

    private Image shown;

    /**
     * @param image the image
     * @param size side in points
     */
    public Thumbnail(Image image, int size) {
        setFitWidth(size);
        setFitHeight(size);
        setSmooth(false);
        show(image);
    }

    /** Draws another image, unless it is the one that is shown. */
    public void show(Image image) {
        if (image != shown) {
            shown = image;
            setImage(picture(image, (int) getFitWidth()));
        }
    }

    /** A small image gets a whole number of points for each pixel; of a large one the nearest samples are drawn. */
    private static WritableImage picture(Image image, int size) {
        int side = 2 * size;
        WritableImage picture = new WritableImage(side, side);
        double span = Math.max(image.rows(), image.columns());
        for (int y = 0; y < side; y++) {
            for (int x = 0; x < side; x++) {
                int row = (int) Math.floor((y + 0.5) * span / side - (span - image.rows()) / 2);
                int column = (int) Math.floor((x + 0.5) * span / side - (span - image.columns()) / 2);
                if (row >= 0 && row < image.rows() && column >= 0 && column < image.columns()) {
                    int offset = row * image.columns() + column;
                    picture.getPixelWriter().setArgb(x, y, Grays.point(Grays.of(image, offset)));
                }
            }
        }
        return picture;
    }
}
