package pixeron.look;

import pixeron.image.Area;
import pixeron.number.Approximate;
import pixeron.number.Decimals;

/** What a line or a rectangle measures, in a few words: while it is drawn, and in one line. */
public final class Measures {

    private Measures() {
    }

    /** Returns the straight distance of a line, such as 5 or 2.83. */
    public static String brief(Segment line) {
        return rounded(line.straightDistance());
    }

    /** Returns the three distances of a line. */
    public static String of(Segment line) {
        return "distance " + brief(line) + " (" + Math.abs(line.rowDifference()) + " down, " + Math.abs(line.columnDifference()) + " across; city block "
                + line.cityBlockDistance() + ", chessboard " + line.chessboardDistance() + ")";
    }

    /** Returns the height and the width of a rectangle. */
    public static String brief(Area area) {
        return area.height() + " × " + area.width();
    }

    /**
     * Returns the size and the place of a rectangle.
     *
     * @param first what the first row and column are called, 0 or 1
     */
    public static String of(Area area, int first) {
        return brief(area) + " = " + Decimals.working((long) area.height() * area.width()) + " pixels, rows " + range(area.row() + first, area.height())
                + ", columns " + range(area.column() + first, area.width());
    }

    private static String range(int start, int count) {
        return start + "–" + (start + count - 1);
    }

    private static String rounded(double distance) {
        return Decimals.working(Approximate.from(Math.rint(distance * 100) / 100));
    }
}
