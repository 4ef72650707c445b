package pixeron.cli;

import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.step.StepType;
import pixeron.step.catalog.Catalog;
import pixeron.step.catalog.StepLine;
import pixeron.step.key.AreaParameter;
import pixeron.step.key.ChannelsParameter;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.ListParameter;
import pixeron.step.key.MatrixParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.PairsParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.ReferenceParameter;

/** Step lines with random keys and values: many are sensible, some are refused, none is expected to be either. */
final class RandomLine {

    private static final int MOST_TRIES = 200;
    private static final List<String> NUMBERS = List.of("0", "1", "2", "3", "4", "5", "7", "9", "-1", "-3", "1/2", "0.29", "45", "90", "-30", "100", "255", "300", "2.5", "M");
    /** Numbers at the ends of what programs count with, and far beyond. */
    private static final List<String> EXTREMES = List.of("-2147483648", "2147483647", "2147483648", "-2147483649", "-9223372036854775808", "9223372036854775807", "65536",
            "1" + "0".repeat(390), "-1" + "0".repeat(390), "0." + "0".repeat(390) + "1", "1/" + "9".repeat(390), "4294967297/2");
    private static final List<String> REFERENCES = List.of("step:0", "step:1", "self", "other", "color", "M");
    private static final List<String> FORMULAS = List.of("r + i", "if(r > mean, M, 0)", "ln(r)", "r / (j - 1)", "sqrt(r - 3)", "mod(r, 4) ^ 2", "max(r, i * j) / 3");
    private static final List<String> CHANNELS = List.of("red", "red blue", "green", "alpha", "blue green red", "red green blue alpha");

    private final Random random;
    private final int everyExtreme;

    RandomLine(Random random) {
        this(random, 40);
    }

    /** @param everyExtreme one number in so many is an extreme one */
    RandomLine(Random random, int everyExtreme) {
        this.random = random;
        this.everyExtreme = everyExtreme;
    }

    private String number() {
        return random.nextInt(everyExtreme) == 0 ? one(EXTREMES) : one(NUMBERS);
    }

    /** Returns a line that can be read; whether it can be applied is another question. */
    String next() {
        for (int n = 0; n < MOST_TRIES; n++) {
            StepType type = one(Catalog.all());
            String line = type.name() + type.parameters().stream().filter(key -> key.isRequired() || random.nextInt(4) == 0)
                    .map(key -> " " + key.key() + "=\"" + value(key) + "\"").collect(Collectors.joining());
            try {
                StepLine.parse(line);
                return line;
            } catch (PixeronException refused) {
                // Another one.
            }
        }
        return "invert";
    }

    <T> T one(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private String numbers(int count) {
        return IntStream.range(0, count).mapToObj(n -> one(NUMBERS.subList(0, NUMBERS.size() - 1))).collect(Collectors.joining(" "));
    }

    private String value(Parameter<?> key) {
        if (key instanceof ChoiceParameter choice) {
            return one(choice.choices()).word();
        } else if (key instanceof NumberParameter) {
            return number();
        } else if (key instanceof ListParameter) {
            return numbers(1 + random.nextInt(4));
        } else if (key instanceof PairsParameter) {
            return IntStream.range(0, 2).mapToObj(n -> n * 3 + " " + numbers(1)).collect(Collectors.joining(" | "));
        } else if (key instanceof MatrixParameter) {
            int columns = 1 + random.nextInt(4);
            return IntStream.rangeClosed(0, random.nextInt(4)).mapToObj(n -> key.key().equals("shape") ? "1 0 1 1".substring(0, 2 * columns - 1) : numbers(columns))
                    .collect(Collectors.joining(" | "));
        } else if (key instanceof AreaParameter) {
            return random.nextInt(3) + " " + random.nextInt(2) + " 1 " + (1 + random.nextInt(2));
        } else if (key instanceof ChannelsParameter) {
            return one(CHANNELS);
        } else if (key instanceof ReferenceParameter) {
            return one(REFERENCES);
        }
        return key.key().equals("expression") ? one(FORMULAS) : one(List.of("0 0 1 2", "1 1 2 2", "3", "0x0F", "7"));
    }
}
