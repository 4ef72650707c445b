package pixeron.app.sheet.paint;

import pixeron.app.model.Described;
import pixeron.app.model.Reductions;

/**
 * Which samples of an image are behind the points that are seen of it: one where cells are larger than a point, else the mean
 * of four of the image made smaller, which are at most two wide together.
 */
final class Sampling {

    private final Described described;
    private final Reductions smaller;
    private final int plane;
    private final int columns;
    /** For each point the column that its middle shows; two for each, a quarter from either edge, where it is a mean. */
    private final int[] across;
    private final int[] down;

    Sampling(Described described, Extent extent, int width, int height) {
        this.described = described;
        this.smaller = described.smaller();
        double step = 1 / extent.cell();
        int size = -1;
        while (size + 1 < smaller.sizes() && Math.scalb(1, size + 2) <= step) {
            size++;
        }
        plane = size;
        double scale = Math.scalb(1, size + 1);
        boolean isMean = size >= 0;
        columns = isMean ? smaller.columns(size) : described.image().columns();
        int rows = isMean ? smaller.rows(size) : described.image().rows();
        int points = isMean ? 2 : 1;
        across = places(extent.left() / scale, step / scale / points, points * width, columns);
        down = places(extent.top() / scale, step / scale / points, points * height, rows);
    }

    /** Returns for every point the place in the image that its middle shows. */
    private static int[] places(double start, double step, int points, int size) {
        int[] places = new int[points];
        for (int point = 0; point < points; point++) {
            places[point] = Math.max(0, Math.min(size - 1, (int) Math.floor(start + (point + 0.5) * step)));
        }
        return places;
    }

    /** Returns whether a point is a mean, else one sample, which {@link #offset} names. */
    boolean isMean() {
        return plane >= 0;
    }

    /** Returns the row-major offset of the sample that a point shows. */
    int offset(int x, int y) {
        return down[y] * columns + across[x];
    }

    /** Returns what a point shows of samples made smaller. */
    double mean(int x, int y) {
        int first = down[2 * y] * columns;
        int second = down[2 * y + 1] * columns;
        int left = across[2 * x];
        int right = across[2 * x + 1];
        return (smaller.value(plane, first + left) + smaller.value(plane, first + right) + smaller.value(plane, second + left)
                + smaller.value(plane, second + right)) / 4.0;
    }

    /** Returns what a point shows. */
    double value(int x, int y) {
        return isMean() ? mean(x, y) : described.image().asDouble(offset(x, y));
    }
}
