package pixeron.look;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Value;

/**
 * One row of an image as its samples lie in memory, one after the other in a single array.
 *
 * @param layout in which order
 * @param cells the samples of the row, by rising offset
 */
public record MemoryRow(Layout layout, List<Cell> cells) {

    /**
     * A sample in memory.
     *
     * @param offset its place in the array, from 0
     * @param channel its name; that of a gray image is "value"
     */
    public record Cell(long offset, Pixel pixel, String channel, Value value) {
    }

    /** In which order samples lie. H rows, W columns, C channels; i, j and c count from 0. */
    public enum Layout {
        /** Gray, one row after the other. */
        ROWS("row by row", false, "offset = i · W + j"),
        /** Gray, one column after the other. */
        COLUMNS("column by column", false, "offset = j · H + i"),
        /** In color, all channels of a pixel side by side, red first. */
        INTERLEAVED("interleaved, red first", true, "offset = (i · W + j) · C + c"),
        /** In color, all channels of a pixel side by side, blue first, alpha still last. */
        INTERLEAVED_BLUE_FIRST("interleaved, blue first", true, "offset = (i · W + j) · C + c"),
        /** In color, one channel after the other as a plane. */
        PLANES("plane by plane", true, "offset = c · H · W + i · W + j");

        private static final int COLORS = 3;

        private final String title;
        private final boolean isOfColor;
        private final String formula;

        Layout(String title, boolean isOfColor, String formula) {
            this.title = title;
            this.isOfColor = isOfColor;
            this.formula = formula;
        }

        /** Returns its name for people. */
        public String title() {
            return title;
        }

        /** Returns those that there are for an image: gray, or with several channels. */
        public static List<Layout> of(Result image) {
            return Arrays.stream(values()).filter(layout -> layout.isOfColor == image.faces().size() > 1).toList();
        }

        /** Returns how an offset is calculated, with the size of the image put in. */
        public String formula(Frame frame, int channels) {
            return formula.replace("H", String.valueOf(frame.rows())).replace("W", String.valueOf(frame.columns())).replace("C", String.valueOf(channels));
        }

        /** Returns the place of a channel among those of a pixel, or among the planes. */
        int channel(int c) {
            return this == INTERLEAVED_BLUE_FIRST && c < COLORS ? COLORS - 1 - c : c;
        }

        long offset(Frame frame, int channels, Pixel pixel, int c) {
            long place = (long) pixel.row() * frame.columns() + pixel.column();
            return switch (this) {
                case ROWS -> place;
                case COLUMNS -> (long) pixel.column() * frame.rows() + pixel.row();
                case INTERLEAVED, INTERLEAVED_BLUE_FIRST -> place * channels + channel(c);
                case PLANES -> (long) c * frame.rows() * frame.columns() + place;
            };
        }
    }

    /**
     * Returns a row of an image in memory.
     *
     * @param layout one of those for this kind of image
     * @param row 0 to H − 1
     */
    public static MemoryRow of(Result image, Layout layout, int row) {
        List<Result.Face> faces = image.faces();
        List<Cell> cells = new ArrayList<>();
        for (int c = 0; c < faces.size(); c++) {
            Image samples = faces.get(c).image();
            for (int column = 0; column < samples.columns(); column++) {
                Pixel pixel = new Pixel(row, column);
                cells.add(new Cell(layout.offset(image.frame(), faces.size(), pixel, c), pixel, faces.get(c).name(), samples.value(pixel)));
            }
        }
        cells.sort(Comparator.comparingLong(Cell::offset));
        return new MemoryRow(layout, cells);
    }

    /** Returns the first offsets with what lies there: {@code 0: blue (0, 0)  1: green (0, 0) …}. */
    public String text(int count) {
        return cells.stream().limit(count).map(cell -> cell.offset() + ": " + (cell.channel().equals(Image.VALUE) ? "" : cell.channel() + " ")
                + "(" + cell.pixel().row() + ", " + cell.pixel().column() + ")").collect(Collectors.joining("  ")) + (count < cells.size() ? " …" : "");
    }
}
