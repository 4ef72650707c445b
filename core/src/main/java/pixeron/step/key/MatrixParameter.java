package pixeron.step.key;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.number.Decimals;
import pixeron.number.Rational;

/**
 * A key with a table of numbers, {@code |} between its rows: {@code "1 2 1 | 2 4 2 | 1 2 1"}. An array as programs write it is
 * read as well, and is printed in this form.
 *
 * @param key the key
 * @param title the name beside its field
 * @param largest most rows, and most columns
 */
public record MatrixParameter(String key, String title, int largest) implements Parameter<List<List<Rational>>> {

    @Override
    public boolean isRequired() {
        return true;
    }

    @Override
    public Optional<List<List<Rational>>> defaultValue() {
        return Optional.empty();
    }

    @Override
    public String range() {
        return "rows of numbers with | between them, at most " + largest + " × " + largest;
    }

    @Override
    public List<List<Rational>> parse(String text) {
        List<List<Rational>> rows = ArrayNumbers.rows(key, text).orElseGet(() -> rows(text));
        if (rows.size() > largest || rows.get(0).size() > largest) {
            throw PixeronException.of("%s has %d × %d numbers. Give %s.", key, rows.size(), rows.get(0).size(), range());
        }
        return List.copyOf(rows);
    }

    /**
     * Returns the text of a key with the numbers of a copied array or table.
     *
     * @param text rows on lines or in brackets
     * @return empty for text without rows, or with rows of different lengths
     */
    public static Optional<String> ofCopied(String text) {
        try {
            return ArrayNumbers.rows("", text).map(MatrixParameter::text);
        } catch (PixeronException noArray) {
            return Optional.empty();
        }
    }

    private List<List<Rational>> rows(String text) {
        List<List<Rational>> rows = new ArrayList<>();
        for (String part : text.split("\\|", -1)) {
            rows.add(ListParameter.numbers(key, part, range()));
            if (rows.get(rows.size() - 1).size() != rows.get(0).size()) {
                throw PixeronException.of("%s has %d numbers in row %d (counted from 0), but row 0 has %d.", key,
                        rows.get(rows.size() - 1).size(), rows.size() - 1, rows.get(0).size());
            }
        }
        return rows;
    }

    @Override
    public String print(List<List<Rational>> value) {
        return text(value);
    }

    private static String text(List<List<Rational>> value) {
        return value.stream().map(row -> row.stream().map(Decimals::print).collect(Collectors.joining(" ")))
                .collect(Collectors.joining(" | "));
    }
}
