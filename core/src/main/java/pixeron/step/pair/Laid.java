package pixeron.step.pair;

import java.util.Optional;
import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Pixel;

/**
 * Two images in one frame, the second over the first.
 *
 * @param frame of the result
 * @param first where the first pixel of the image before lies in it
 * @param part of the other image that is laid
 * @param row where the first pixel of the part lies; it may be outside
 * @param column likewise
 */
record Laid(Frame frame, Pixel first, Area part, int row, int column) {

    boolean isOther(int i, int j) {
        return i >= row && i - row < part.height() && j >= column && j - column < part.width();
    }

    /** Returns this with as much of the part as falls into an area; empty where none of it does. */
    Optional<Laid> within(Optional<Area> area) {
        int top = Math.max(row, area.map(Area::row).orElse(row));
        int left = Math.max(column, area.map(Area::column).orElse(column));
        long bottom = Math.min((long) row + part.height(), area.map(a -> (long) a.row() + a.height()).orElse(Long.MAX_VALUE));
        long right = Math.min((long) column + part.width(), area.map(a -> (long) a.column() + a.width()).orElse(Long.MAX_VALUE));
        return bottom <= top || right <= left ? Optional.empty() : Optional.of(new Laid(frame, first, new Area(part.row() + top - row,
                part.column() + left - column, (int) (bottom - top), (int) (right - left)), top, left));
    }

    /** Returns where a pixel of the other image is laid. */
    Pixel home(Pixel pixel) {
        return new Pixel(pixel.row() - part.row() + row, pixel.column() - part.column() + column);
    }

    /** Returns the row of the image that a pixel of the result is taken from. */
    int sourceRow(int i, boolean isOther) {
        return isOther ? i - row + part.row() : i - first.row();
    }

    int sourceColumn(int j, boolean isOther) {
        return isOther ? j - column + part.column() : j - first.column();
    }
}
