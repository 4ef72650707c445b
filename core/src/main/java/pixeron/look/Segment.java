package pixeron.look;

import java.util.List;
import java.util.stream.IntStream;
import pixeron.image.Pixel;

/**
 * The straight line between two pixels.
 *
 * <p>It has one pixel for every step of the longer direction, max(|Δrow|, |Δcolumn|) + 1 in all; the place in the other
 * direction is rounded to the nearest pixel, ties away from zero, which is downwards or to the right.
 *
 * @param from the first pixel
 * @param to the last pixel
 */
public record Segment(Pixel from, Pixel to) {

    /** Returns the pixels from the first to the last. */
    public List<Pixel> pixels() {
        int steps = chessboardDistance();
        return IntStream.rangeClosed(0, steps).mapToObj(k -> new Pixel(at(from.row(), rowDifference(), k, steps),
                at(from.column(), columnDifference(), k, steps))).toList();
    }

    /** Returns start + difference·k ÷ steps, rounded to nearest, ties away from zero; no place is below 0. */
    private static int at(int start, int difference, int k, int steps) {
        return steps == 0 ? start : (int) Math.floorDiv(2L * start * steps + 2L * difference * k + steps, 2L * steps);
    }

    /** Returns Δrow, to − from. */
    public int rowDifference() {
        return to.row() - from.row();
    }

    /** Returns Δcolumn, to − from. */
    public int columnDifference() {
        return to.column() - from.column();
    }

    /** Returns Δrow² + Δcolumn², the square of the straight distance. */
    public long squaredDistance() {
        return (long) rowDifference() * rowDifference() + (long) columnDifference() * columnDifference();
    }

    /** Returns √(Δrow² + Δcolumn²). */
    public double straightDistance() {
        return Math.sqrt(squaredDistance());
    }

    /** Returns |Δrow| + |Δcolumn|. */
    public int cityBlockDistance() {
        return Math.abs(rowDifference()) + Math.abs(columnDifference());
    }

    /** Returns max(|Δrow|, |Δcolumn|). */
    public int chessboardDistance() {
        return Math.max(Math.abs(rowDifference()), Math.abs(columnDifference()));
    }
}
