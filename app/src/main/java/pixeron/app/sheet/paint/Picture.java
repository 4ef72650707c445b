package pixeron.app.sheet.paint;

import java.nio.IntBuffer;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import pixeron.image.Frame;
import pixeron.look.PixelSet;

/**
 * Draws the visible part of an image as a picture, point by point.
 *
 * <p>Cost: at most four values of each face for every point, whatever the size of the image; with lit pixels, a look at each
 * row that a point represents.
 */
abstract class Picture {

    /** What is not lit keeps this part of its color. */
    private static final double UNLIT = 0.4;

    private final Frame frame;
    private WritableImage kept;
    /** What is shown, in the form in which it is drawn: nothing is converted on the way. */
    private PixelBuffer<IntBuffer> buffer;
    private int[] points = new int[0];

    /** @param frame of what is drawn */
    Picture(Frame frame) {
        this.frame = frame;
    }

    /** Fills the points that are seen, row by row, as opaque 0xAARRGGBB. */
    abstract void fill(int[] points, Extent extent, int width, int height);

    final void paint(GraphicsContext graphics, Extent extent, Optional<PixelSet> litPixels, Color ground, Color lit) {
        int width = (int) Math.ceil(Math.min(extent.x(frame.columns()), graphics.getCanvas().getWidth()));
        int height = (int) Math.ceil(Math.min(extent.y(frame.rows()), graphics.getCanvas().getHeight()));
        if (width <= 0 || height <= 0) {
            return;
        }
        if (kept == null || kept.getWidth() != width || kept.getHeight() != height) {
            points = new int[width * height];
            buffer = new PixelBuffer<>(width, height, IntBuffer.wrap(points), PixelFormat.getIntArgbPreInstance());
            kept = new WritableImage(buffer);
        }
        fill(points, extent, width, height);
        litPixels.ifPresent(pixels -> light(pixels, extent, width, height, argb(ground), argb(lit)));
        buffer.updateBuffer(changed -> null);
        graphics.drawImage(kept, 0, 0);
    }

    /** A point is lit when any of the pixels that it represents is: a single one must not be overlooked. */
    private void light(PixelSet pixels, Extent extent, int width, int height, int ground, int lit) {
        int columns = frame.columns();
        double step = 1 / extent.cell();
        IntStream.range(0, height).parallel().forEach(y -> {
            int firstRow = (int) (extent.top() + y * step);
            int lastRow = Math.max(firstRow, (int) Math.ceil(extent.top() + (y + 1) * step) - 1);
            for (int x = 0; x < width; x++) {
                int first = Math.min(columns - 1, (int) (extent.left() + x * step));
                int last = Math.min(columns - 1, Math.max(first,
                        (int) Math.ceil(extent.left() + (x + 1) * step) - 1));
                boolean isLit = false;
                for (int row = firstRow; !isLit && row <= Math.min(lastRow, frame.rows() - 1); row++) {
                    isLit = pixels.containsAny(row * columns + first, row * columns + last);
                }
                int n = y * width + x;
                points[n] = isLit ? lit : mixed(points[n], ground);
            }
        });
    }

    private static int mixed(int point, int ground) {
        int mixed = 0xFF000000;
        for (int shift = 0; shift <= 16; shift += 8) {
            mixed |= (int) (UNLIT * (point >> shift & 0xFF) + (1 - UNLIT) * (ground >> shift & 0xFF)) << shift;
        }
        return mixed;
    }

    private static int argb(Color color) {
        return 0xFF000000 | (int) Math.rint(color.getRed() * 255) << 16 | (int) Math.rint(color.getGreen() * 255) << 8
                | (int) Math.rint(color.getBlue() * 255);
    }
}
