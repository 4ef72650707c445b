package pixeron.byhand.colour;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.PackedPixel;
import pixeron.number.Decimals;

/** What was written for pixels with colour: a packed value 0xAARRGGBB or 0xRRGGBB, or three or four numbers with blanks. */
public final class ColourCells {

    private static final int WITHOUT_ALPHA = 6;

    private ColourCells() {
    }

    /**
     * @param texts what was written, row by row; blank for nothing
     * @return the values of all faces as one sheet
     * @throws PixeronException if a cell is none of these; names it
     */
    public static HandSheet sheet(List<List<String>> texts, Abreast right) {
        Map<Pixel, String> cells = new HashMap<>();
        for (int row = 0; row < texts.size(); row++) {
            for (int column = 0; column < texts.get(row).size(); column++) {
                String text = texts.get(row).get(column).strip();
                Pixel pixel = new Pixel(row, column);
                if (!text.isEmpty() && right.after().frame().contains(pixel)) {
                    values(text, right, pixel).forEach((face, value) -> cells.put(right.place(face, pixel), value));
                }
            }
        }
        return HandSheet.EMPTY.with(cells);
    }

    /** @return the value of each face that the text says something of */
    private static Map<String, String> values(String text, Abreast right, Pixel pixel) {
        List<String> faces = right.after().faces().stream().map(Result.Face::name).toList();
        Map<String, String> values = new HashMap<>();
        if (text.matches("0[xX][0-9A-Fa-f]{1,8}")) {
            if (right.after().maximumLevel() != Image.BYTE_MAXIMUM) {
                throw PixeronException.of("%s: \"%s\" is a packed value of eight bits each, and the maximum level is %d; write three numbers.",
                        pixel, text, right.after().maximumLevel());
            }
            String digits = text.substring(2);
            PackedPixel packed = new PackedPixel(Integer.parseUnsignedInt(digits, 16));
            faces.stream().filter(face -> !face.equals("alpha") || digits.length() > WITHOUT_ALPHA).forEach(face ->
                    values.put(face, String.valueOf(packed.level(face))));
            return values;
        }
        String[] numbers = text.split("[\\s,;]+");
        if (numbers.length != 3 && numbers.length != faces.size()) {
            throw PixeronException.of("%s (counted from 0): \"%s\" is neither a packed value such as 0xFF204A8F nor %s with blanks between.",
                    pixel, Decimals.shortened(text), faces.size() > 3 ? "three or four numbers" : "three numbers");
        }
        for (int n = 0; n < numbers.length; n++) {
            values.put(faces.get(n), numbers[n]);
        }
        return values;
    }
}
