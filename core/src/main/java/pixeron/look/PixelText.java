package pixeron.look;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pixeron.PixeronException;
import pixeron.image.Pixel;
import pixeron.image.Result;

/** A place that a user writes down: two numbers in the order they say, or with words that leave no doubt. */
public final class PixelText {

    private static final Pattern NUMBERS = Pattern.compile("\\(?\\s*(\\d{1,9})\\s*[,; ]\\s*(\\d{1,9})\\s*\\)?");
    private static final Pattern ROW_FIRST = Pattern.compile(
            "(?:row|r|i)\\s*[=:]?\\s*(\\d{1,9})[\\s,;]+(?:column|col|c|j)\\s*[=:]?\\s*(\\d{1,9})");
    private static final Pattern X_FIRST = Pattern.compile("x\\s*[=:]?\\s*(\\d{1,9})[\\s,;]+y\\s*[=:]?\\s*(\\d{1,9})");

    private PixelText() {
    }

    /**
     * Returns the pixel.
     *
     * @param text {@code 12, 40}, {@code row 12 column 40}, {@code i=12 j=40} or {@code x 40 y 12}
     * @param isXFirst how two bare numbers are meant: x, y (true) or row, column
     * @param first what the first row and column are called, 0 or 1
     * @param image the place must lie inside it
     * @throws PixeronException if the text is not understood or the place lies outside
     */
    public static Pixel parse(String text, boolean isXFirst, int first, Result image) {
        String plain = text.strip().toLowerCase(Locale.ROOT);
        Matcher rows = ROW_FIRST.matcher(plain);
        Matcher x = X_FIRST.matcher(plain);
        Matcher numbers = NUMBERS.matcher(plain);
        if (rows.matches()) {
            return inside(rows.group(1), rows.group(2), first, image);
        } else if (x.matches()) {
            return inside(x.group(2), x.group(1), first, image);
        } else if (numbers.matches()) {
            return isXFirst ? inside(numbers.group(2), numbers.group(1), first, image)
                    : inside(numbers.group(1), numbers.group(2), first, image);
        }
        throw PixeronException.of("“%s” is not a valid position. Use two numbers such as 12, 40, or x 40 y 12.",
                pixeron.number.Decimals.shortened(text));
    }

    private static Pixel inside(String row, String column, int first, Result image) {
        Pixel pixel = new Pixel(Integer.parseInt(row) - first, Integer.parseInt(column) - first);
        if (!image.frame().contains(pixel)) {
            throw PixeronException.of("Row %s, column %s is outside the image: rows are %d–%d, columns %d–%d.",
                    row, column, first, image.frame().rows() - 1 + first, first, image.frame().columns() - 1 + first);
        }
        return pixel;
    }
}
