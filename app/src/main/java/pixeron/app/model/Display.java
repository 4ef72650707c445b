package pixeron.app.model;

import java.util.Optional;
import pixeron.look.NumberBase;

/**
 * How values are shown. Nothing of it changes a value; the sheets say so while it is not as it is at the beginning.
 *
 * @param scale from value to color
 * @param range which values are the two ends of the scale
 * @param ends the ends for {@link Range#OWN}
 * @param base how numbers are written on the sheets
 * @param first what the first row and the first column are called: 0 or 1
 * @param hasGrid whether cells have lines between them
 * @param cells which numbers are in a cell with color
 */
public record Display(Scale scale, Range range, Ends ends, NumberBase base, int first, boolean hasGrid, Cells cells) {

    /** Gray from 0 to M, decimal, counted from 0, no lines. */
    public static final Display PLAIN = new Display(Scale.GRAY, Range.LEVELS, new Ends(0, 255), NumberBase.DECIMAL, 0,
            false, Cells.ALL);

    /** Which numbers are in a cell of an image with color. */
    public enum Cells {
        ALL("all channels"), CHANNEL("one channel"), PACKED("packed value");

        private final String title;

        Cells(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }

    /** Which values are the ends of the scale. */
    public enum Range {
        LEVELS("0 to M"), IMAGE("smallest to largest"), OWN("own");

        private final String title;

        Range(String title) {
            this.title = title;
        }

        public String title() {
            return title;
        }
    }

    /**
     * Two values; what lies outside is shown as the nearer one.
     *
     * @param low is shown as the first color
     * @param high is shown as the last color
     */
    public record Ends(double low, double high) {
    }

    public Display with(Scale other) {
        return new Display(other, range, ends, base, first, hasGrid, cells);
    }

    public Display with(Range other) {
        return new Display(scale, other, ends, base, first, hasGrid, cells);
    }

    /** Returns this with own ends. */
    public Display with(Ends other) {
        return new Display(scale, Range.OWN, other, base, first, hasGrid, cells);
    }

    public Display with(NumberBase other) {
        return new Display(scale, range, ends, other, first, hasGrid, cells);
    }

    /**
     * Returns this with another number for the first row and column.
     *
     * @param other 0 or 1
     */
    public Display withFirst(int other) {
        return new Display(scale, range, ends, base, other, hasGrid, cells);
    }

    public Display withGrid(boolean isThere) {
        return new Display(scale, range, ends, base, first, isThere, cells);
    }

    public Display with(Cells other) {
        return new Display(scale, range, ends, base, first, hasGrid, other);
    }

    /** Returns the ends of the scale for an image. */
    public Ends ends(Described described) {
        return switch (range) {
            case LEVELS -> isAroundZero(described) ? new Ends(-reach(described), reach(described))
                    : new Ends(0, described.isSpectral() ? reach(described) : described.image().maximumLevel());
            case IMAGE -> new Ends(described.facts().smallest().asDouble(), described.facts().largest().asDouble());
            case OWN -> ends;
        };
    }

    /** Returns whether the image has values below 0, such as a gradient: 0 is then shown in the middle of the scale. */
    public boolean isAroundZero(Described described) {
        return range == Range.LEVELS && described.facts().smallest().signum() < 0;
    }

    private static double reach(Described described) {
        return Math.max(described.facts().smallest().absolute().asDouble(),
                described.facts().largest().absolute().asDouble());
    }

    /** Returns what is not shown as it is, for a lasting sign; empty when colors and numbers are plain. */
    public Optional<String> sign() {
        StringBuilder words = new StringBuilder();
        if (scale != Scale.GRAY) {
            words.append(scale.title()).append(" colors");
        }
        if (range != Range.LEVELS) {
            words.append(words.length() == 0 ? "" : ", ").append("range ").append(range.title());
        }
        if (base != NumberBase.DECIMAL) {
            words.append(words.length() == 0 ? "" : ", ").append(base.title());
        }
        return words.length() == 0 ? Optional.empty() : Optional.of(words.toString());
    }
}
