package pixeron.step.key;

import java.util.Optional;
import java.util.regex.Pattern;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.number.Decimals;

/** The key {@code area}: the rectangle that a step works on; left out, it works on the whole image. */
public record AreaParameter() implements Parameter<Area> {

    private static final Pattern FOUR_NUMBERS = Pattern.compile("\\d{1,9}( +\\d{1,9}){3}");

    @Override
    public String key() {
        return "area";
    }

    @Override
    public String title() {
        return "Area";
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
            throw PixeronException.of("area=\"%s\" is not four whole numbers: row column height width.",
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
