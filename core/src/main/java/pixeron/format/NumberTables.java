package pixeron.format;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.format.array.ArrayCells;
import pixeron.format.array.ArrayText;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/** Images as tables of numbers, one line a row. */
final class NumberTables {

    private static final int DEFAULT_MAXIMUM = 255;
    private static final int MOST_KNOWN = 1 << 16;

    private NumberTables() {
    }

    /** A plain table is read as it always was; what it cannot be is read as a program may have written it. */
    static LoadedImage read(String text, ReadOptions options) {
        Optional<ArrayCells> array = ArrayText.read(text, options.array().arePlanes());
        if (array.isPresent()) {
            return ArrayImages.read(array.get(), options);
        }
        try {
            if (options.array().equals(ArrayOptions.NONE)) {
                return read(TableForm.plain(text).cells(text), options);
            }
        } catch (TooManyPixelsException tooMany) {
            throw tooMany;
        } catch (PixeronException noPlainTable) {
            return columns(text, options, noPlainTable);
        }
        return ArrayImages.read(ArrayText.columns(text).orElseThrow(() -> PixeronException.of("The table has no numbers.")), options);
    }

    /** Perhaps columns with headings, labels or exponents; what is none of these is refused as a table. */
    private static LoadedImage columns(String text, ReadOptions options, PixeronException noPlainTable) {
        ArrayCells columns = ArrayText.columns(text).orElseThrow(() -> noPlainTable);
        try {
            return ArrayImages.read(columns, options);
        } catch (UndecidedException | TooManyPixelsException asked) {
            throw asked;
        } catch (PixeronException noColumns) {
            throw columns.notes().isEmpty() && columns.factor().isEmpty() ? noPlainTable : noColumns;
        }
    }

    static LoadedImage read(CellTable table, ReadOptions options) {
        List<List<String>> rows = table.rows();
        if (rows.isEmpty()) {
            throw PixeronException.of("The table has no numbers.");
        }
        int columns = rows.get(0).size();
        requirePixelLimit(rows.size(), columns, options);
        Value[] values = new Value[rows.size() * columns];
        Map<String, Rational> known = new HashMap<>();
        for (int i = 0; i < rows.size(); i++) {
            requireLength(i, rows.get(i).size(), columns);
            for (int j = 0; j < columns; j++) {
                values[i * columns + j] = number(rows.get(i).get(j), i, j, known);
            }
        }
        int maximum = options.maximum().orElseGet(() -> options.isOpen() ? DEFAULT_MAXIMUM : maximumFor(values));
        if (!options.isOpen()) {
            requireLevels(values, maximum, columns);
        }
        return LoadedImage.gray(Image.from(rows.size(), columns, maximum, values), LoadedImage.TABLE);
    }

    static void requirePixelLimit(long rows, long columns, ReadOptions options) {
        if (rows > options.pixelLimit() / Math.max(1, columns)) {
            throw new TooManyPixelsException(rows, columns, options.pixelLimit());
        }
    }

    private static void requireLength(int row, int length, int columns) {
        if (length != columns) {
            throw PixeronException.of("Row %d (counted from 0) has %d %s, but row 0 has %d.",
                    row, length, length == 1 ? "cell" : "cells", columns);
        }
    }

    /** Cells that are alike are one number in memory: a table of levels has few different ones. */
    private static Rational number(String cell, int row, int column, Map<String, Rational> known) {
        Rational same = known.get(cell);
        if (same == null) {
            same = number(cell, row, column);
            if (known.size() < MOST_KNOWN) {
                known.put(cell, same);
            }
        }
        return same;
    }

    private static Rational number(String cell, int row, int column) {
        if (!Decimals.isNumber(cell)) {
            throw notANumber(cell, row, column);
        }
        return Decimals.parse(cell);
    }

    private static int maximumFor(Value[] values) {
        Rational usual = Rational.of(DEFAULT_MAXIMUM);
        return Arrays.stream(values).anyMatch(value -> value.compareValue(usual) > 0) ? Image.LARGEST_MAXIMUM
                : DEFAULT_MAXIMUM;
    }

    private static void requireLevels(Value[] values, int maximum, int columns) {
        for (int n = 0; n < values.length; n++) {
            if (!Image.isLevel(values[n], maximum)) {
                throw notALevel(values[n], n / columns, n % columns, maximum);
            }
        }
    }

    static PixeronException notALevel(Value value, int row, int column, int maximum) {
        return PixeronException.of("Row %d, column %d (counted from 0): %s is not a whole number from 0 to %d. Set another maximum level (--max), or read signed and fractional values"
                + " (--open).", row, column, Decimals.table(value), maximum);
    }

    static PixeronException notANumber(String cell, int row, int column) {
        return PixeronException.of("Row %d, column %d (counted from 0): %s is not a number.", row, column, cell.isEmpty() ? "an empty cell" : "\"" + Decimals.shortened(cell) + "\"");
    }

    static void write(Image image, String separator, boolean isExact, OutputStream out) throws IOException {
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        for (int n = 0; n < image.count(); n++) {
            boolean isLast = n % image.columns() == image.columns() - 1;
            Value value = image.value(n);
            writer.write(isExact ? Decimals.exact(value) : Decimals.table(value));
            writer.write(isLast ? "\n" : separator);
        }
        writer.flush();
    }
}
