package pixeron.step.pair;

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

    /** @return the row of the image that a pixel of the result is taken from */
    int sourceRow(int i, boolean isOther) {
        return isOther ? i - row + part.row() : i - first.row();
    }

    int sourceColumn(int j, boolean isOther) {
        return isOther ? j - column + part.column() : j - first.column();
    }
}
