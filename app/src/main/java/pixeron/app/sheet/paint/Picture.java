package pixeron.app.sheet.paint;

import java.nio.IntBuffer;
import java.util.stream.IntStream;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.PixelBuffer;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import pixeron.app.model.Reductions;
import pixeron.app.model.Shown;
import pixeron.look.PixelSet;

/**
 * Draws the visible part of an image as a picture, point by point.
 *
 * <p>Cost: at most four values for every point, whatever the size of the image; with lit pixels, a look at each row
 * that a point stands for.
 */
final class Picture {

    /** What is not lit keeps this part of its colour. */
    private static final double UNLIT = 0.4;

    private final Shown.Described described;
    private final Tones tones;
    private final Look look;
    private WritableImage kept;
    /** What is shown, in the form in which it is drawn: nothing is converted on the way. */
    private PixelBuffer<IntBuffer> buffer;
    private int[] points = new int[0];

    Picture(Shown.Described described, Tones tones, Look look) {
        this.described = described;
        this.tones = tones;
        this.look = look;
    }

    void paint(GraphicsContext graphics, Extent extent, Color ground, Color lit) {
        int width = (int) Math.ceil(Math.min(extent.x(described.image().columns()), graphics.getCanvas().getWidth()));
        int height = (int) Math.ceil(Math.min(extent.y(described.image().rows()), graphics.getCanvas().getHeight()));
        if (width <= 0 || height <= 0) {
            return;
        }
        if (kept == null || kept.getWidth() != width || kept.getHeight() != height) {
            points = new int[width * height];
            buffer = new PixelBuffer<>(width, height, IntBuffer.wrap(points), PixelFormat.getIntArgbPreInstance());
            kept = new WritableImage(buffer);
        }
        fill(extent, width, height);
        look.lit().ifPresent(pixels -> light(pixels, extent, width, height, argb(ground), argb(lit)));
        buffer.updateBuffer(changed -> null);
        graphics.drawImage(kept, 0, 0);
    }

    private void fill(Extent extent, int width, int height) {
        double step = 1 / extent.cell();
        Reductions smaller = described.smaller();
        int size = -1;
        while (size + 1 < smaller.sizes() && Math.scalb(1, size + 2) <= step) {
            size++;
        }
        if (size < 0) {
            int columns = described.image().columns();
            int[] across = places(extent.left(), step, width, columns);
            int[] down = places(extent.top(), step, height, described.image().rows());
            IntStream.range(0, height).parallel().forEach(y -> {
                for (int x = 0; x < width; x++) {
                    points[y * width + x] = tones.pointAt(down[y] * columns + across[x]);
                }
            });
            return;
        }
        double scale = Math.scalb(1, size + 1);
        int columns = smaller.columns(size);
        int plane = size;
        // Two places for each point, a quarter from either edge: what the point stands for is at most two wide.
        int[] across = places(extent.left() / scale, step / scale / 2, 2 * width, columns);
        int[] down = places(extent.top() / scale, step / scale / 2, 2 * height, smaller.rows(size));
        IntStream.range(0, height).parallel().forEach(y -> {
            int first = down[2 * y] * columns;
            int second = down[2 * y + 1] * columns;
            for (int x = 0; x < width; x++) {
                int left = across[2 * x];
                int right = across[2 * x + 1];
                points[y * width + x] = tones.point((smaller.value(plane, first + left)
                        + smaller.value(plane, first + right) + smaller.value(plane, second + left)
                        + smaller.value(plane, second + right)) / 4.0);
            }
        });
    }

    /** @return for every point the place in the image that its middle shows */
    private static int[] places(double start, double step, int points, int size) {
        int[] places = new int[points];
        for (int point = 0; point < points; point++) {
            places[point] = Math.max(0, Math.min(size - 1, (int) Math.floor(start + (point + 0.5) * step)));
        }
        return places;
    }

    /** A point is lit when any of the pixels that it stands for is: a single one must not be overlooked. */
    private void light(PixelSet pixels, Extent extent, int width, int height, int ground, int lit) {
        int columns = described.image().columns();
        double step = 1 / extent.cell();
        IntStream.range(0, height).parallel().forEach(y -> {
            int firstRow = (int) (extent.top() + y * step);
            int lastRow = Math.max(firstRow, (int) Math.ceil(extent.top() + (y + 1) * step) - 1);
            for (int x = 0; x < width; x++) {
                int first = Math.min(columns - 1, (int) (extent.left() + x * step));
                int last = Math.min(columns - 1, Math.max(first,
                        (int) Math.ceil(extent.left() + (x + 1) * step) - 1));
                boolean isLit = false;
                for (int row = firstRow; !isLit && row <= Math.min(lastRow, described.image().rows() - 1); row++) {
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
