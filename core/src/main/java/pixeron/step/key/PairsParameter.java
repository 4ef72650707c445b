package pixeron.step.key;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.number.Decimals;
import pixeron.number.Rational;

/**
 * A key with pairs of numbers, {@code |} between them: {@code "0 0 | 100 40 | 255 255"}.
 *
 * @param key the key
 * @param title the name beside its field
 * @param range what the pairs are, in words
 */
public record PairsParameter(String key, String title, String range) implements Parameter<List<PairsParameter.Pair>> {

    /**
     * One pair.
     *
     * @param from an input level
     * @param to what it becomes
     */
    public record Pair(Rational from, Rational to) {
    }

    @Override
    public boolean isRequired() {
        return true;
    }

    @Override
    public Optional<List<Pair>> defaultValue() {
        return Optional.empty();
    }

    @Override
    public List<Pair> parse(String text) {
        List<Pair> pairs = new ArrayList<>();
        for (String part : text.split("\\|", -1)) {
            List<Rational> numbers = ListParameter.numbers(key, part, range);
            if (numbers.size() != 2) {
                throw PixeronException.of("%s contains \"%s\" instead of two numbers. Give %s.", key,
                        Decimals.shortened(part.strip()), range);
            }
            pairs.add(new Pair(numbers.get(0), numbers.get(1)));
        }
        return List.copyOf(pairs);
    }

    @Override
    public String print(List<Pair> value) {
        return value.stream().map(pair -> Decimals.print(pair.from()) + " " + Decimals.print(pair.to()))
                .collect(Collectors.joining(" | "));
    }
}
