package pixeron.app.window;

import java.util.List;
import javafx.scene.image.Image;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import pixeron.app.sheet.paint.Grays;
import pixeron.format.LoadedImage;
import pixeron.image.ColorImage;

/** Pictures between the clipboard and the program. */
final class ClipboardPicture {

    private ClipboardPicture() {
    }

    /** Returns the picture as levels of eight bits; gray when all of it is. */
    static LoadedImage read(Image picture) {
        int rows = (int) picture.getHeight();
        int columns = (int) picture.getWidth();
        PixelReader reader = picture.getPixelReader();
        boolean hasAlpha = false;
        for (int n = 0; !hasAlpha && n < rows * columns; n++) {
            hasAlpha = reader.getArgb(n % columns, n / columns) >>> 24 != 0xFF;
        }
        return LoadedImage.packed(rows, columns, hasAlpha, n -> reader.getArgb(n % columns, n / columns), "clipboard");
    }

    /** Returns the image as a picture of 256 grays, 0 black and M white, a point for each pixel. */
    static WritableImage of(pixeron.image.Image image) {
        WritableImage picture = new WritableImage(image.columns(), image.rows());
        for (int n = 0; n < image.count(); n++) {
            picture.getPixelWriter().setArgb(n % image.columns(), n / image.columns(), Grays.point(Grays.of(image, n)));
        }
        return picture;
    }

    /** Returns the picture in color, its transparency kept, a point for each pixel. */
    static WritableImage of(ColorImage color) {
        WritableImage picture = new WritableImage(color.columns(), color.rows());
        for (int n = 0; n < color.red().count(); n++) {
            int offset = n;
            int point = color.alpha().map(alpha -> (int) (Grays.of(alpha, offset) + 0.5)).orElse(0xFF);
            for (pixeron.image.Image channel : List.of(color.red(), color.green(), color.blue())) {
                point = point << 8 | (int) (Grays.of(channel, offset) + 0.5);
            }
            picture.getPixelWriter().setArgb(n % color.columns(), n / color.columns(), point);
        }
        return picture;
    }
}
