package pixeron.byhand.slip.search;

import pixeron.byhand.CellCheck;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * A filled cell that slips are asked about.
 *
 * @param cell the findings about it
 * @param offset its place in the step's result
 * @param level what was written, where that is a plain whole number from 0 to 65535; else {@link #NO_LEVEL}. Numbers of this
 *     kind are compared a thousand times as often as all others
 */
record Asked(CellCheck cell, int offset, int level) {

    static final int NO_LEVEL = -1;

    static Asked of(CellCheck cell, Frame frame) {
        return new Asked(cell, frame.offset(cell.pixel()), level(cell));
    }

    private static int level(CellCheck cell) {
        Value written = cell.byHand().value().orElseThrow();
        return !cell.byHand().isDetailed() && written instanceof Rational whole && whole.isWhole() && whole.signum() >= 0
                && whole.compareTo(Rational.of(Image.LARGEST_MAXIMUM)) <= 0 ? whole.toInt() : NO_LEVEL;
    }

    Pixel pixel() {
        return cell.pixel();
    }
}
