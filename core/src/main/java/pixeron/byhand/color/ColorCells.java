package pixeron.byhand.color;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.image.Pixel;
import pixeron.image.Components;
import pixeron.image.Result;
import pixeron.look.WrittenColor;
import pixeron.number.Decimals;

/**
 * What a user writes for a pixel with color, as {@link WrittenColor} reads it.
 *
 * @param faces the names of the channels, in their order
 * @param maximumLevel M of all of them
 */
public record ColorCells(List<String> faces, int maximumLevel) {

    /** Returns what can be written for a result. */
    public static ColorCells of(Result result) {
        return new ColorCells((result instanceof Components components ? components.inCells() : result.faces()).stream().map(Result.Face::name).toList(), result.frame().maximumLevel());
    }

    /**
     * Returns the values of all faces as one sheet.
     *
     * @param written row by row; blank for nothing
     * @throws PixeronException if a cell is neither packed nor a number for each channel; names it
     */
    public static HandSheet sheet(List<List<String>> written, Abreast right) {
        ColorCells reader = of(right.after());
        List<List<String>> texts = right.after().frame().columns() == 1 ? reader.inOneColumn(written) : written;
        Map<Pixel, String> cells = new HashMap<>();
        for (int row = 0; row < texts.size(); row++) {
            for (int column = 0; column < texts.get(row).size(); column++) {
                String text = texts.get(row).get(column).strip();
                Pixel pixel = new Pixel(row, column);
                if (!text.isEmpty() && right.after().frame().contains(pixel)) {
                    reader.required(text, pixel).forEach((face, value) -> cells.put(right.place(face, pixel), value));
                }
            }
        }
        return HandSheet.EMPTY.with(cells);
    }

    /**
     * In an image of one column the numbers of a cell look like cells of their own.
     *
     * @param rows of cells
     * @return the same with one cell a row where every row has a number for each channel; else as they are
     */
    public List<List<String>> inOneColumn(List<List<String>> rows) {
        boolean areNumbers = rows.stream().filter(row -> row.stream().anyMatch(cell -> !cell.isBlank())).allMatch(row ->
                row.size() == faces.size() || row.size() == 3 && faces.contains(Components.ALPHA));
        return areNumbers ? rows.stream().map(row -> List.of(String.join(" ", row).strip())).toList() : rows;
    }

    private Map<String, String> required(String text, Pixel pixel) {
        try {
            return find(text).orElseThrow(() -> PixeronException.of(
                    "\"%s\" is neither a packed value such as 0xFF204A8F nor %s separated by spaces.", Decimals.shortened(text), count()));
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s (counted from 0): %s", pixel, problem.getMessage());
        }
    }

    private String count() {
        return faces.size() == 3 ? "three numbers" : faces.contains(Components.ALPHA) ? "three or four numbers" : "four numbers";
    }

    /**
     * Returns the value of each channel that it says something of; empty where it is one number, an expression or no number at all.
     *
     * @param text what was written in a cell
     * @throws PixeronException if it is packed, and the channels have no eight bits
     */
    public Optional<Map<String, String>> find(String text) {
        return WrittenColor.find(text, faces, maximumLevel);
    }
}
