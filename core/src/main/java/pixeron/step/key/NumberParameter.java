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
 * @param takesMaximum whether M may be written
 * @param word another word that may be written: auto or keep
 * @param rule which numbers are allowed
 * @param range the rule in words
 */
public record NumberParameter(String key, String title, boolean isRequired, Optional<Amount> defaultValue,
        boolean takesMaximum, Optional<Amount> word, Predicate<Rational> rule, String range) implements Parameter<Amount> {

    /** @return a key that must be given, with any number */
    public static NumberParameter required(String key, String title) {
        return new NumberParameter(key, title, true, Optional.empty(), false, Optional.empty(), number -> true,
                "a number");
    }

    /** @return a key with a default; M may be written for the maximum level */
    public static NumberParameter level(String key, String title, Amount defaultValue) {
        return new NumberParameter(key, title, false, Optional.of(defaultValue), true, Optional.empty(), number -> true,
                "a number or M");
    }

    /** @return a key with a default, for a number that no level stands for */
    public static NumberParameter optional(String key, String title, long defaultValue) {
        return new NumberParameter(key, title, false, Optional.of(Amount.of(defaultValue)), false, Optional.empty(),
                number -> true, "a number");
    }

    /** @return a key for a number that the step works out unless it is given */
    public static NumberParameter automatic(String key, String title, boolean takesMaximum) {
        return new NumberParameter(key, title, false, Optional.of(Amount.AUTO), takesMaximum, Optional.of(Amount.AUTO), number -> true,
                takesMaximum ? "a number, M or auto" : "a number or auto");
    }

    /** @return a key for a number or M; by default the sample is kept */
    public static NumberParameter kept(String key, String title) {
        return new NumberParameter(key, title, false, Optional.of(Amount.KEEP), true, Optional.of(Amount.KEEP),
                number -> true, "a number, M or keep");
    }

    /** @return this as a key that must be given */
    public NumberParameter givenAlways() {
        return new NumberParameter(key, title, true, Optional.empty(), takesMaximum, word, rule, range);
    }

    /** @return this with another default */
    public NumberParameter with(Amount otherDefault) {
        return new NumberParameter(key, title, false, Optional.of(otherDefault), takesMaximum, word, rule, range);
    }

    /** @return this as a key that may be left out and then has no value */
    public NumberParameter leftOutAtWill() {
        return new NumberParameter(key, title, false, Optional.empty(), takesMaximum, word, rule, range);
    }

    /** @return this with fewer numbers allowed */
    public NumberParameter only(Predicate<Rational> allowed, String inWords) {
        return new NumberParameter(key, title, isRequired, defaultValue, takesMaximum, word, allowed, inWords);
    }

    @Override
    public Amount parse(String text) {
        if (takesMaximum && text.equals("M")) {
            return Amount.MAXIMUM;
        }
        if (word.isPresent() && text.equals(word.get().word())) {
            return word.get();
        }
        if (text.isEmpty()) {
            throw PixeronException.of("%s is empty; give %s.", key, range);
        } else if (!Decimals.isNumber(text)) {
            throw PixeronException.of("%s=%s is not %s.", key, Decimals.shortened(text), range);
        }
        Rational number = Decimals.parse(text);
        if (!rule.test(number)) {
            throw PixeronException.of("%s=%s is not allowed; give %s.", key, Decimals.shortened(text), range);
        }
        return new Amount(number);
    }

    @Override
    public String print(Amount value) {
        return value.toString();
    }
}
