package pixeron.look;

import java.util.List;
import java.util.stream.IntStream;
import pixeron.image.Pixel;

/**
 * The straight line between two pixels.
 *
 * <p>It has one pixel for every step of the longer direction, max(|Δrow|, |Δcolumn|) + 1 in all; the place in the other
 * direction is rounded to the nearest pixel, half way away from the first pixel.
 *
 * @param from the first pixel
 * @param to the last pixel
 */
public record Segment(Pixel from, Pixel to) {

    /** @return the pixels from the first to the last */
    public List<Pixel> pixels() {
        int steps = chessboardDistance();
        return IntStream.rangeClosed(0, steps).mapToObj(k -> new Pixel(from.row() + part(rowDifference(), k, steps),
                from.column() + part(columnDifference(), k, steps))).toList();
    }

    /** @return difference·k ÷ steps, rounded to nearest, ties away from zero */
    private static int part(int difference, int k, int steps) {
        if (steps == 0) {
            return 0;
        }
        long twice = (2L * Math.abs(difference) * k + steps) / (2L * steps);
        return (int) (difference < 0 ? -twice : twice);
    }

    /** @return Δrow, to − from */
    public int rowDifference() {
        return to.row() - from.row();
    }

    /** @return Δcolumn, to − from */
    public int columnDifference() {
        return to.column() - from.column();
    }

    /** @return Δrow² + Δcolumn², the square of the straight distance */
    public long squaredDistance() {
        return (long) rowDifference() * rowDifference() + (long) columnDifference() * columnDifference();
    }

    /** @return √(Δrow² + Δcolumn²) */
    public double straightDistance() {
        return Math.sqrt(squaredDistance());
    }

    /** @return |Δrow| + |Δcolumn| */
    public int cityBlockDistance() {
        return Math.abs(rowDifference()) + Math.abs(columnDifference());
    }

    /** @return max(|Δrow|, |Δcolumn|) */
    public int chessboardDistance() {
        return Math.max(Math.abs(rowDifference()), Math.abs(columnDifference()));
    }
}
