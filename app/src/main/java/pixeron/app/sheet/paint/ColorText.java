package pixeron.app.sheet.paint;

import java.util.List;
import java.util.function.Function;
import javafx.scene.text.Font;
import pixeron.app.model.Described;
import pixeron.app.model.Display;
import pixeron.app.model.Seen;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.NumberBase;
import pixeron.look.PackedPixel;
import pixeron.number.Value;

/** Which numbers are in a cell of an image with color, one line under the other, and how large they can be. */
public final class ColorText {

    private static final List<String> COLORS = List.of("red", "green", "blue");
    private static final String PREFIX = "0x";
    private static final int HALF = 4;
    private static final double LINE = 1.15;
    private static final double DIGIT = 0.6;
    private static final double SMALLEST = 9;

    private final Display.Cells cells;
    private final String channel;
    private final NumberBase base;
    private final int characters;

    /**
     * Creates the texts of the cells of a color image.
     *
     * @param channel that is in a cell with one number
     * @param seen the sheets that have the same numbers, for the longest of them
     */
    public ColorText(Display display, String channel, List<Seen> seen) {
        this(display.cells(), channel, display.base(), seen.stream().flatMap(side -> side.faces().stream())
                .mapToInt(face -> longest(face, display.base())).max().orElse(1));
    }

    private ColorText(Display.Cells cells, String channel, NumberBase base, int characters) {
        this.cells = cells;
        this.channel = channel;
        this.base = base;
        this.characters = characters;
    }

    /** Returns the same with room for a mark beside each number. */
    public ColorText withMark() {
        return new ColorText(cells, channel, base, characters + 1);
    }

    private static int longest(Described face, NumberBase base) {
        int maximum = face.image().maximumLevel();
        return Math.max(base.text(face.facts().smallest(), maximum).length(), base.text(face.facts().largest(), maximum).length());
    }

    /**
     * The type that fits a cell.
     *
     * @param font null where no number fits
     */
    record Fit(Font font) {

        /** Returns how far below the middle of the cell a line stands. */
        double offset(int line, int lines) {
            return (line - (lines - 1) / 2.0) * font.getSize() * LINE;
        }
    }

    /** Returns how many lines and characters a cell has. */
    private int count() {
        return switch (cells) {
            case ALL -> COLORS.size();
            case CHANNEL -> 1;
            case PACKED -> 2;
        };
    }

    Fit fit(double cell, double scale) {
        int lines = count();
        int wide = cells == Display.Cells.PACKED ? PREFIX.length() + HALF : characters;
        double room = Math.min((cell - 4) / (wide * DIGIT), (cell - 2) / (lines * LINE));
        double size = Math.floor(2 * Math.min(room, NumberFont.largest(cell) * scale)) / 2;
        return new Fit(size < SMALLEST ? null : NumberFont.of(size));
    }

    /** Returns the lines of a pixel's cell. */
    List<String> lines(Result result, Pixel pixel) {
        if (cells == Display.Cells.PACKED) {
            return packed(PackedPixel.find(result, pixel).map(PackedPixel::hexadecimal).orElse("–"));
        }
        List<String> names = cells == Display.Cells.CHANNEL ? List.of(channel) : COLORS;
        return lines(names, name -> base.text(value(result, name, pixel), result.frame().maximumLevel()));
    }

    /** Returns a packed value in two halves, one above the other. */
    static List<String> packed(String text) {
        int half = PREFIX.length() + HALF;
        return text.length() <= half ? List.of(text) : List.of(text.substring(0, half), "  " + text.substring(half));
    }

    private static List<String> lines(List<String> names, Function<String, String> text) {
        return names.stream().map(text).toList();
    }

    private static Value value(Result result, String name, Pixel pixel) {
        Image image = result.face(name).orElseGet(() -> result.faces().get(0).image());
        return image.value(pixel);
    }

    boolean isPacked() {
        return cells == Display.Cells.PACKED;
    }

    /** Returns the names of the channels that are in a cell, line by line; packed values hold red, green and blue. */
    List<String> names() {
        return cells == Display.Cells.CHANNEL ? List.of(channel) : COLORS;
    }
}
