package pixeron.byhand.colour;

import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.PackedPixel;
import pixeron.number.Decimals;

/**
 * What a person writes for a pixel with colour: a packed value 0xAARRGGBB or 0xRRGGBB, or a number for each channel with blanks
 * between.
 *
 * @param faces the names of the channels, in their order
 * @param maximumLevel M of all of them
 */
public record ColourCells(List<String> faces, int maximumLevel) {

    private static final String PACKED = "0[xX][0-9A-Fa-f]{1,8}";
    /** A sign between blanks: then it is one expression, not a number for each channel. */
    private static final String OPERATOR = "[-+*/^×÷·:\u2212()]+";
    private static final int WITHOUT_ALPHA = 6;

    /** @return what can be written for a result */
    public static ColourCells of(Result result) {
        return new ColourCells(result.faces().stream().map(Result.Face::name).toList(), result.frame().maximumLevel());
    }

    /**
     * @param written row by row; blank for nothing
     * @return the values of all faces as one sheet
     * @throws PixeronException if a cell is neither packed nor a number for each channel; names it
     */
    public static HandSheet sheet(List<List<String>> written, Abreast right) {
        ColourCells reader = of(right.after());
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
                row.size() == 3 || row.size() == faces.size());
        return areNumbers ? rows.stream().map(row -> List.of(String.join(" ", row).strip())).toList() : rows;
    }

    private Map<String, String> required(String text, Pixel pixel) {
        try {
            return find(text).orElseThrow(() -> PixeronException.of(
                    "\"%s\" is neither a packed value such as 0xFF204A8F nor %s with blanks between.",
                    Decimals.shortened(text), faces.size() > 3 ? "three or four numbers" : "three numbers"));
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "%s (counted from 0): %s", pixel, problem.getMessage());
        }
    }

    /**
     * @param text what was written in a cell
     * @return the value of each channel that it says something of; empty where it is one number, an expression or no number at all
     * @throws PixeronException if it is packed, and the channels have no eight bits
     */
    public Optional<Map<String, String>> find(String text) {
        Map<String, String> values = new LinkedHashMap<>();
        if (text.strip().matches(PACKED)) {
            if (maximumLevel != Image.BYTE_MAXIMUM) {
                throw PixeronException.of("\"%s\" is a packed value of eight bits each, and the maximum level is %d; write three numbers.",
                        text.strip(), maximumLevel);
            }
            String digits = text.strip().substring(2);
            PackedPixel packed = new PackedPixel(Integer.parseUnsignedInt(digits, 16));
            faces.stream().filter(face -> !face.equals("alpha") || digits.length() > WITHOUT_ALPHA).forEach(face ->
                    values.put(face, String.valueOf(packed.level(face))));
            return Optional.of(values);
        }
        String[] numbers = text.strip().split("[\\s,;]+");
        boolean isOneEach = (numbers.length == 3 || numbers.length == faces.size())
                && Arrays.stream(numbers).noneMatch(number -> number.matches(OPERATOR));
        for (int n = 0; isOneEach && n < numbers.length; n++) {
            values.put(faces.get(n), numbers[n]);
        }
        return isOneEach ? Optional.of(values) : Optional.empty();
    }
}
