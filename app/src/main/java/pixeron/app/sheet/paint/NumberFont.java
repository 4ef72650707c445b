package pixeron.app.sheet.paint;

import java.util.HashMap;
import java.util.Map;
import javafx.scene.text.Font;
import pixeron.app.theme.Theme;

/** The font that lets numbers of a given length fit into a cell. */
public final class NumberFont {

    private static final double SMALLEST = 9;
    /** In cells as on squared paper; in larger ones numbers grow as well, more slowly. */
    private static final double LARGEST = 15;
    private static final double SQUARED_PAPER = 48;
    private static final double GROWTH = 0.2;
    /** A digit of the number font is this part of its size wide. */
    public static final double DIGIT = 0.6;
    private static final Map<Double, Font> FONTS = new HashMap<>();

    private NumberFont() {
    }

    /**
     * Returns the font, or null when the numbers do not fit.
     *
     * @param cell side of the cell in points
     * @param characters length of the longest number
     * @param scale how much larger than normal type is
     */
    static Font fitting(double cell, int characters, double scale) {
        double room = (cell - 4) / (characters * DIGIT);
        double size = Math.floor(2 * Math.min(Math.min(room, cell * 0.42), largest(cell) * scale)) / 2;
        return size < SMALLEST ? null : of(size);
    }

    /** Returns the largest type for numbers in a cell of this side. */
    static double largest(double cell) {
        return LARGEST + GROWTH * Math.max(0, cell - SQUARED_PAPER);
    }

    public static Font of(double size) {
        return FONTS.computeIfAbsent(size, s -> Font.font(Theme.NUMBERS, s));
    }
}
