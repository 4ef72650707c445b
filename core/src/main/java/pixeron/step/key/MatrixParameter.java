package pixeron.step.key;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.number.Decimals;
import pixeron.number.Rational;

/**
 * A key with a table of numbers, {@code |} between its rows: {@code "1 2 1 | 2 4 2 | 1 2 1"}.
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
        List<List<Rational>> rows = new ArrayList<>();
        for (String part : text.split("\\|", -1)) {
            rows.add(ListParameter.numbers(key, part, range()));
            if (rows.get(rows.size() - 1).size() != rows.get(0).size()) {
                throw PixeronException.of("%s has %d numbers in row %d (counted from 0), but row 0 has %d.", key,
                        rows.get(rows.size() - 1).size(), rows.size() - 1, rows.get(0).size());
            }
        }
        if (rows.size() > largest || rows.get(0).size() > largest) {
            throw PixeronException.of("%s has %d × %d numbers. Give %s.", key, rows.size(), rows.get(0).size(), range());
        }
        return List.copyOf(rows);
    }

    @Override
    public String print(List<List<Rational>> value) {
        return value.stream().map(row -> row.stream().map(Decimals::print).collect(Collectors.joining(" ")))
                .collect(Collectors.joining(" | "));
    }
}
