package pixeron.step.key;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.number.Decimals;
import pixeron.number.Rational;

/**
 * A key with a list of numbers, spaces between them. A list as programs write it is read as well.
 *
 * @param key the key
 * @param title the name beside its field
 * @param range what the numbers are, in words
 * @param isRequired whether a line must give it
 * @param isAutomatic whether auto may be written, which is the default then: the step finds the numbers, and the list is empty
 */
public record ListParameter(String key, String title, String range, boolean isRequired, boolean isAutomatic)
        implements Parameter<List<Rational>> {

    private static final String AUTO = "auto";

    /** A key that must be given. */
    public ListParameter(String key, String title, String range) {
        this(key, title, range, true, false);
    }

    /** Returns this as a key that may be left out and then has no value. */
    public ListParameter leftOutAtWill() {
        return new ListParameter(key, title, range, false, false);
    }

    /** Returns this as a key whose numbers the step finds unless they are given. */
    public ListParameter automatic() {
        return new ListParameter(key, title, range + ", or auto", false, true);
    }

    @Override
    public Optional<List<Rational>> defaultValue() {
        return isAutomatic ? Optional.of(List.of()) : Optional.empty();
    }

    @Override
    public List<Rational> parse(String text) {
        return isAutomatic && text.strip().equals(AUTO) ? List.of() : ArrayNumbers.rows(key, text).map(this::flat).orElseGet(() -> numbers(key, text, range));
    }

    /** One row or one column. */
    private List<Rational> flat(List<List<Rational>> rows) {
        if (rows.size() > 1 && rows.get(0).size() > 1) {
            throw PixeronException.of("%s has %d × %d numbers. Give one row.", key, rows.size(), rows.get(0).size());
        }
        return rows.stream().flatMap(List::stream).toList();
    }

    /**
     * Returns the numbers of a text.
     *
     * @throws PixeronException if there is none or one is not understood
     */
    static List<Rational> numbers(String key, String text, String range) {
        if (text.isBlank()) {
            throw PixeronException.of("%s is empty. Give %s.", key, range);
        }
        return Arrays.stream(text.strip().split("\\s+")).map(word -> {
            if (!Decimals.isNumber(word)) {
                throw PixeronException.of("%s contains \"%s\", which is not a number. Give %s.", key,
                        Decimals.shortened(word), range);
            }
            return Decimals.parse(word);
        }).toList();
    }

    @Override
    public String print(List<Rational> value) {
        return isAutomatic && value.isEmpty() ? AUTO : value.stream().map(Decimals::print).collect(Collectors.joining(" "));
    }
}
