package pixeron.app.model;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import pixeron.image.Image;

/**
 * An image made smaller to a half, a quarter, an eighth to of its sides, so that a large one is drawn as a picture
 * without reading all of it for every frame. Each value is the mean of up to 2 × 2 values of the size above; for
 * drawing only.
 *
 * <p>Memory: four bytes for every third pixel. Cost: one pass.
 */
public final class Reductions {

    /** Smaller images are drawn from their own samples. */
    private static final int SMALLEST_SIDE = 256;

    private record Plane(int rows, int columns, float[] values) {
    }

    private final List<Plane> planes = new ArrayList<>();

    private Reductions() {
    }

    /** Returns all sizes of the image that are at least 256 points wide or high. */
    static Reductions of(Image image) {
        Reductions reductions = new Reductions();
        int rows = image.rows();
        int columns = image.columns();
        Plane above = null;
        while (Math.max(rows, columns) > SMALLEST_SIDE) {
            above = above == null ? halved(image) : halved(above);
            reductions.planes.add(above);
            rows = above.rows;
            columns = above.columns;
        }
        return reductions;
    }

    private static Plane halved(Image image) {
        int width = image.columns();
        return halved(image.rows(), width, (row, column) -> (float) image.asDouble(row * width + column));
    }

    private static Plane halved(Plane above) {
        return halved(above.rows, above.columns, (row, column) -> above.values[row * above.columns + column]);
    }

    private interface Sample {
        float at(int row, int column);
    }

    private static Plane halved(int rows, int columns, Sample sample) {
        int lower = (rows + 1) / 2;
        int narrower = (columns + 1) / 2;
        float[] values = new float[lower * narrower];
        IntStream.range(0, lower).parallel().forEach(i -> {
            // At an odd end the last row or column represents the missing one.
            int first = 2 * i;
            int second = Math.min(rows - 1, first + 1);
            for (int j = 0; j < narrower; j++) {
                int left = 2 * j;
                int right = Math.min(columns - 1, left + 1);
                values[i * narrower + j] = (sample.at(first, left) + sample.at(first, right) + sample.at(second, left)
                        + sample.at(second, right)) / 4;
            }
        });
        return new Plane(lower, narrower, values);
    }

    /** Returns the number of sizes; size 0 is the half. */
    public int sizes() {
        return planes.size();
    }

    public int rows(int size) {
        return planes.get(size).rows;
    }

    public int columns(int size) {
        return planes.get(size).columns;
    }

    /** Returns the value of a size at a row-major offset. */
    public float value(int size, int offset) {
        return planes.get(size).values[offset];
    }
}
