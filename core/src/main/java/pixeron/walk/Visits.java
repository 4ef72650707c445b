package pixeron.walk;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.image.Pixel;

/**
 * In which order the pixels of an image are visited, each exactly once: row by row, column by column, or along a path of
 * one's own, after which the pixels that it left out follow row by row.
 *
 * <p>Memory: nothing for rows and columns; along a path four bytes for each pixel.
 */
public final class Visits {

    private final int rows;
    private final int columns;
    private final Optional<ScanOrder> order;
    private final List<Pixel> path;
    /** When each pixel is visited, along a path; else null. */
    private final int[] places;
    /** The pixels that the path left out, in order; else null. */
    private final int[] others;

    private Visits(int rows, int columns, Optional<ScanOrder> order, List<Pixel> path, int[] places, int... others) {
        this.rows = rows;
        this.columns = columns;
        this.order = order;
        this.path = path;
        this.places = places;
        this.others = others;
    }

    /** Returns the visits of an image with so many rows and columns. */
    public static Visits of(ScanOrder order, int rows, int columns) {
        return new Visits(rows, columns, Optional.of(order), List.of(), null);
    }

    /**
     * Returns the visits along it.
     *
     * @param path pixels in order; those outside the image and those that come again are left out
     */
    public static Visits along(List<Pixel> path, int rows, int columns) {
        Set<Pixel> kept = new LinkedHashSet<>();
        path.stream().filter(pixel -> pixel.row() < rows && pixel.column() < columns).forEach(kept::add);
        int[] places = new int[rows * columns];
        int n = 0;
        for (Pixel pixel : kept) {
            places[pixel.row() * columns + pixel.column()] = ++n;
        }
        int[] others = new int[rows * columns - n];
        for (int offset = 0; offset < places.length; offset++) {
            if (places[offset] == 0) {
                others[n++ - kept.size()] = offset;
                places[offset] = n;
            }
            places[offset]--;
        }
        return new Visits(rows, columns, Optional.empty(), new ArrayList<>(kept), places, others);
    }

    /** Returns these for an image of another size. */
    public Visits sized(int newRows, int newColumns) {
        return rows == newRows && columns == newColumns ? this
                : order.map(way -> of(way, newRows, newColumns)).orElseGet(() -> along(path, newRows, newColumns));
    }

    /** Returns rows or columns; empty along a path. */
    public Optional<ScanOrder> order() {
        return order;
    }

    /** Returns the path of one's own; empty for rows and columns. */
    public List<Pixel> path() {
        return List.copyOf(path);
    }

    public int rows() {
        return rows;
    }

    public int columns() {
        return columns;
    }

    /** Returns the number of visits, one for each pixel. */
    public int count() {
        return rows * columns;
    }

    /**
     * Returns the pixel of a visit.
     *
     * @param place 0 to count() − 1
     */
    public Pixel pixel(int place) {
        if (order.isPresent()) {
            return order.get().pixel(rows, columns, place);
        }
        int offset = place - path.size();
        return offset < 0 ? path.get(place) : new Pixel(others[offset] / columns, others[offset] % columns);
    }

    /** Returns when the pixel is visited, 0 … count() − 1. */
    public int place(Pixel pixel) {
        return places != null ? places[pixel.row() * columns + pixel.column()]
                : order.orElseThrow().place(rows, columns, pixel);
    }

    /** Returns where the line after that of a place begins: the next row or column, or what follows the path; count() behind the last. */
    public int nextLine(int place) {
        if (order.isEmpty() && place < path.size()) {
            return path.size();
        }
        boolean isDown = order.filter(ScanOrder.COLUMNS::equals).isPresent();
        int line = line(place, isDown);
        int next = place;
        while (next < count() && line(next, isDown) == line) {
            next++;
        }
        return next;
    }

    private int line(int place, boolean isDown) {
        return isDown ? pixel(place).column() : pixel(place).row();
    }

    /** Returns the heads of the loops that visit the pixels in this order. */
    public List<String> heads() {
        String down = "for each row i from 0 to " + (rows - 1);
        String across = "for each column j from 0 to " + (columns - 1);
        return order.isEmpty() ? List.of("for each pixel (i, j) of the path, then of the rest")
                : order.get() == ScanOrder.ROWS ? List.of(down, across) : List.of(across, down);
    }
}
