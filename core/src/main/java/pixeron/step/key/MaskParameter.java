package pixeron.step.key;

import java.util.Optional;
import pixeron.PixeronException;
import pixeron.number.Decimals;

/**
 * A key with a mask of bits, 0–65535, written in decimal, as 0x… or as 0b….
 *
 * @param key the key
 * @param title the name beside its field
 */
public record MaskParameter(String key, String title) implements Parameter<Integer> {

    private static final int LARGEST = 65535;

    @Override
    public boolean isRequired() {
        return true;
    }

    @Override
    public Optional<Integer> defaultValue() {
        return Optional.empty();
    }

    @Override
    public String range() {
        return "a whole number from 0 to 65535, also as 0x0F or 0b1111";
    }

    @Override
    public Integer parse(String text) {
        int mask = text.matches("\\d{1,5}") ? Integer.parseInt(text)
                : text.matches("0[xX][0-9a-fA-F]{1,4}") ? Integer.parseInt(text.substring(2), 16)
                : text.matches("0[bB][01]{1,16}") ? Integer.parseInt(text.substring(2), 2) : -1;
        if (mask < 0 || mask > LARGEST) {
            throw PixeronException.of("%s=%s is not %s.", key, Decimals.shortened(text), range());
        }
        return mask;
    }

    @Override
    public String print(Integer value) {
        return Integer.toString(value);
    }
}
