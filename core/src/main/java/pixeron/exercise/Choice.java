package pixeron.exercise;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.number.Decimals;
import pixeron.number.Rational;

/** What one of the numbers of an exercise can be; each variant draws one of them. */
public sealed interface Choice {

    /** The number of the variant itself, in a line of the exercise. */
    String VARIANT = "variant";

    /** From one number to another, perhaps by a step. */
    Pattern RANGE = Pattern.compile("(-?[\\d./]+)\\s*(?:to|…)\\s*(-?[\\d./]+)(?:\\s*by\\s*([\\d./]+))?");

    /** More values than these cannot be distinguished by a draw that is exact to 2⁻⁵³ and a range of 2³². */
    long MOST = 1L << 32;

    /** Returns what is in braces in the lines of the exercise. */
    String name();

    /** Returns how many values there are, 1 … {@link #MOST}. */
    long count();

    /**
     * Returns the value as it is put into a line.
     *
     * @param index 0 to count() − 1
     */
    String value(long index);

    /**
     * Values one by one.
     *
     * @param values at least one; numbers, or words such as {@code zero}
     */
    record OfList(String name, List<String> values) implements Choice {
        public OfList {
            requireName(name);
            values = List.copyOf(values);
            if (values.isEmpty()) {
                throw PixeronException.of("The choice \"%s\" has no values. Add at least one.", name);
            }
        }

        @Override
        public long count() {
            return values.size();
        }

        @Override
        public String value(long index) {
            return values.get(Math.toIntExact(index));
        }
    }

    /**
     * Numbers from one to another.
     *
     * @param from the first one
     * @param to the largest that may come
     * @param step from one to the next, above 0
     */
    record OfRange(String name, Rational from, Rational to, Rational step) implements Choice {
        public OfRange {
            requireName(name);
            if (step.signum() <= 0 || to.compareTo(from) < 0) {
                throw PixeronException.of("The choice \"%s\" goes from %s to %s by %s. The increment must be positive and the end not below the start.",
                        name, from, to, step);
            } else if (steps(from, to, step).compareTo(Rational.of(MOST - 1)) > 0) {
                throw PixeronException.of("The choice \"%s\" has more than %d values.", name, MOST);
            }
        }

        private static Rational steps(Rational from, Rational to, Rational step) {
            return to.minus(from).dividedBy(step).floor();
        }

        @Override
        public long count() {
            return steps(from, to, step).numerator().longValueExact() + 1;
        }

        @Override
        public String value(long index) {
            return Decimals.print(from.plus(step.times(Rational.of(index))));
        }
    }

    /**
     * Returns the choice.
     *
     * @param text values with commas between them, or {@code 1 to 9}, or {@code 1 to 9 by 2}
     * @throws PixeronException if the name is none, or there are no values
     */
    static Choice parse(String name, String text) {
        requireName(name);
        Matcher range = RANGE.matcher(text.strip());
        if (range.matches()) {
            return new OfRange(name, Decimals.parse(range.group(1)), Decimals.parse(range.group(2)), range.group(3) == null ? Rational.ONE : Decimals.parse(range.group(3)));
        }
        List<String> values = Stream.of(text.split(",")).map(String::strip).filter(value -> !value.isEmpty()).toList();
        if (values.isEmpty()) {
            throw PixeronException.of("{%s} has no values. Use the form 3, 4, 5 or 1 to 9 or 0 to 2 by 0.25.", name);
        }
        return new OfList(name, values);
    }

    /** Returns its values as {@link #parse} understands them. */
    default String text() {
        return this instanceof OfList list ? String.join(", ", list.values()) : this instanceof OfRange range ? Decimals.print(range.from()) + " to "
                + Decimals.print(range.to()) + (range.step().equals(Rational.ONE) ? "" : " by " + Decimals.print(range.step())) : "";
    }

    private static void requireName(String name) {
        if (!name.matches("[a-z][a-z0-9]{0,19}") || name.equals(VARIANT)) {
            throw PixeronException.of("\"%s\" is not a valid name of a choice. Use at most 20 lowercase letters and digits, a letter first, and not \"%s\".",
                    Decimals.shortened(name), VARIANT);
        }
    }
}
