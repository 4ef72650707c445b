package pixeron.step;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.number.Decimals;
import pixeron.number.Rational;

/**
 * A key with a list of numbers, blanks between them.
 *
 * @param key the key
 * @param title the name beside its field
 * @param range what the numbers are, in words
 * @param isRequired whether a line must give it
 */
public record ListParameter(String key, String title, String range, boolean isRequired)
        implements Parameter<List<Rational>> {

    /** A key that must be given. */
    public ListParameter(String key, String title, String range) {
        this(key, title, range, true);
    }

    /** @return this as a key that may be left out and then has no value */
    public ListParameter leftOutAtWill() {
        return new ListParameter(key, title, range, false);
    }

    @Override
    public Optional<List<Rational>> defaultValue() {
        return Optional.empty();
    }

    @Override
    public List<Rational> parse(String text) {
        return numbers(key, text, range);
    }

    /**
     * @return the numbers of a text
     * @throws PixeronException if there is none or one is not understood
     */
    static List<Rational> numbers(String key, String text, String range) {
        if (text.isBlank()) {
            throw PixeronException.of("%s is empty; give %s.", key, range);
        }
        return Arrays.stream(text.strip().split("\\s+")).map(word -> {
            if (!Decimals.isNumber(word)) {
                throw PixeronException.of("%s has \"%s\", which is not a number; give %s.", key,
                        Decimals.shortened(word), range);
            }
            return Decimals.parse(word);
        }).toList();
    }

    @Override
    public String print(List<Rational> value) {
        return value.stream().map(Decimals::print).collect(Collectors.joining(" "));
    }
}
