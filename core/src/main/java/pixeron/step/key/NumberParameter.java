package pixeron.step.key;

import java.util.Optional;
import java.util.function.Predicate;
import pixeron.PixeronException;
import pixeron.number.Decimals;
import pixeron.number.Rational;

/**
 * A key with an exact number.
 *
 * @param key the key
 * @param title the name beside its field
 * @param isRequired whether a line must give it
 * @param defaultValue the value otherwise
 * @param words what may be written that is no number
 * @param allowed which numbers are allowed
 * @param span which numbers a user tries out; empty where that depends on too much
 */
public record NumberParameter(String key, String title, boolean isRequired, Optional<Amount> defaultValue,
        Words words, Allowed allowed, Optional<Span> span) implements Parameter<Amount> {

    private static final int FARTHEST = 1_000_000_000;
    private static final Optional<Span> LEVELS = Optional.of(Span.ofLevels(0, 1));

    /**
     * What may be written that is no number.
     *
     * @param hasMaximum whether M may be
     * @param other another word: auto or keep
     */
    private record Words(boolean hasMaximum, Optional<Amount> other) {

        private static final Words NONE = new Words(false, Optional.empty());
        private static final Words MAXIMUM = new Words(true, Optional.empty());
    }

    /** Which numbers are allowed, and the same in words. */
    private record Allowed(Predicate<Rational> rule, String range) {

        static Allowed all(String range) {
            return new Allowed(number -> true, range);
        }
    }

    /** Returns a key that must be given, with any number. */
    public static NumberParameter required(String key, String title) {
        return new NumberParameter(key, title, true, Optional.empty(), Words.NONE, Allowed.all("a number"), Optional.empty());
    }

    /** Returns a key that must be given, with a whole number of any sign. */
    public static NumberParameter whole(String key, String title) {
        return required(key, title).only(Rational::isInt, "a whole number");
    }

    /** Returns a key that must be given, with a whole number of pixels in either direction: farther than any image reaches, and places can still be added to it. */
    public static NumberParameter pixels(String key, String title) {
        return required(key, title).only(number -> number.isInt() && number.toInt() >= -FARTHEST && number.toInt() <= FARTHEST, "a whole number from -1000000000 to 1000000000");
    }

    /** Returns a key with a default; M may be written for the maximum level. */
    public static NumberParameter level(String key, String title, Amount defaultValue) {
        return new NumberParameter(key, title, false, Optional.of(defaultValue), Words.MAXIMUM, Allowed.all("a number or M"), LEVELS);
    }

    /** Returns a key with a default, for a number that no level represents. */
    public static NumberParameter optional(String key, String title, long defaultValue) {
        return new NumberParameter(key, title, false, Optional.of(Amount.of(defaultValue)), Words.NONE, Allowed.all("a number"), Optional.empty());
    }

    /** Returns a key for a number that the step calculates unless it is given. */
    public static NumberParameter automatic(String key, String title, boolean takesMaximum) {
        return new NumberParameter(key, title, false, Optional.of(Amount.AUTO), new Words(takesMaximum, Optional.of(Amount.AUTO)),
                Allowed.all(takesMaximum ? "a number, M or auto" : "a number or auto"), takesMaximum ? LEVELS : Optional.empty());
    }

    /** Returns a key for a number or M; by default the sample is kept. */
    public static NumberParameter kept(String key, String title) {
        return new NumberParameter(key, title, false, Optional.of(Amount.KEEP), new Words(true, Optional.of(Amount.KEEP)),
                Allowed.all("a number, M or keep"), LEVELS);
    }

    /** Returns this as a key that must be given. */
    public NumberParameter givenAlways() {
        return new NumberParameter(key, title, true, Optional.empty(), words, allowed, span);
    }

    /** Returns this with another default. */
    public NumberParameter with(Amount otherDefault) {
        return new NumberParameter(key, title, false, Optional.of(otherDefault), words, allowed, span);
    }

    /** Returns this as a key that may be left out and then has no value. */
    public NumberParameter leftOutAtWill() {
        return new NumberParameter(key, title, false, Optional.empty(), words, allowed, span);
    }

    /** Returns this with fewer numbers allowed. */
    public NumberParameter only(Predicate<Rational> rule, String inWords) {
        return new NumberParameter(key, title, isRequired, defaultValue, words, new Allowed(rule, inWords), span);
    }

    /** Returns this with the numbers that a user tries out. */
    public NumberParameter sliding(Span numbers) {
        return new NumberParameter(key, title, isRequired, defaultValue, words, allowed, Optional.of(numbers));
    }

    /** Returns whether M may be written. */
    public boolean takesMaximum() {
        return words.hasMaximum;
    }

    /** Returns another word that may be written: auto or keep. */
    public Optional<Amount> word() {
        return words.other;
    }

    /** Returns which numbers are allowed, in words. */
    public String range() {
        return allowed.range;
    }

    @Override
    public Amount parse(String text) {
        if (words.hasMaximum && text.equals("M")) {
            return Amount.MAXIMUM;
        }
        if (words.other.isPresent() && text.equals(words.other.get().word())) {
            return words.other.get();
        }
        if (text.isEmpty()) {
            throw PixeronException.of("%s is empty. Give %s.", key, allowed.range);
        } else if (!Decimals.isNumber(text)) {
            throw PixeronException.of("%s=%s is not %s.", key, Decimals.shortened(text), allowed.range);
        }
        Rational number = Decimals.parse(text);
        if (!allowed.rule.test(number)) {
            throw PixeronException.of("%s=%s is not allowed. Give %s.", key, Decimals.shortened(text), allowed.range);
        }
        return new Amount(number);
    }

    @Override
    public String print(Amount value) {
        return value.toString();
    }
}
