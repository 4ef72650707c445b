package pixeron.step.key;

import java.util.Optional;
import java.util.regex.Pattern;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.number.Decimals;

/**
 * A key with a rectangle: row column height width.
 *
 * @param key the key
 * @param title the name beside its field
 */
public record AreaParameter(String key, String title) implements Parameter<Area> {

    private static final Pattern FOUR_NUMBERS = Pattern.compile("\\d{1,9}( +\\d{1,9}){3}");

    /** The key {@code area}: the rectangle that a step works on; left out, it works on the whole image. */
    public AreaParameter() {
        this("area", "Area");
    }

    @Override
    public boolean isRequired() {
        return false;
    }

    @Override
    public Optional<Area> defaultValue() {
        return Optional.empty();
    }

    @Override
    public String range() {
        return "row column height width, from 0";
    }

    @Override
    public Area parse(String text) {
        String trimmed = text.strip();
        if (!FOUR_NUMBERS.matcher(trimmed).matches()) {
            throw PixeronException.of("%s=\"%s\" is not four whole numbers: row column height width.", key,
                    Decimals.shortened(text));
        }
        String[] parts = trimmed.split(" +");
        return new Area(Integer.parseInt(parts[0]), Integer.parseInt(parts[1]), Integer.parseInt(parts[2]),
                Integer.parseInt(parts[3]));
    }

    @Override
    public String print(Area value) {
        return value.toString();
    }
}
