package pixeron.step.drawn;

import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.look.PackedPixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Reference;

/**
 * The value that pixels are set to: a level, M, or a color 0xRRGGBB or 0xAARRGGBB, which gives every channel its own level.
 *
 * @param text as it was written
 * @param level the level; empty for M and for a color
 * @param color the packed color; empty for a level
 */
record Ink(String text, Optional<Rational> level, Optional<PackedPixel> color) {

    static final String RANGE = "a level, M, or a color 0xRRGGBB or 0xAARRGGBB";

    private static final String PACKED = "0[xX]([0-9A-Fa-f]{6}|[0-9A-Fa-f]{8})";
    private static final int WITH_ALPHA = 10;
    private static final List<String> CHANNELS = List.of("red", "green", "blue", "alpha");

    /**
     * Reads an ink.
     *
     * @param key that it belongs to, for messages
     * @throws PixeronException if the text is none of these
     */
    static Ink parse(String key, String text) {
        if (text.matches(PACKED)) {
            int packed = Integer.parseUnsignedInt(text.substring(2), 16);
            return new Ink(text, Optional.empty(), Optional.of(new PackedPixel(packed)));
        } else if (text.equals(Reference.MAXIMUM)) {
            return new Ink(text, Optional.empty(), Optional.empty());
        } else if (!Decimals.isNumber(text)) {
            throw PixeronException.of("%s has “%s”, which is not a valid value. Use %s.", key, Decimals.shortened(text), RANGE);
        }
        return new Ink(text, Optional.of(Decimals.parse(text)), Optional.empty());
    }

    /** Returns whether it says something of alpha as well. */
    boolean hasAlpha() {
        return color.isPresent() && text.length() == WITH_ALPHA;
    }

    /**
     * Returns the ink of one channel.
     *
     * @param place of the channel: red 0, green 1, blue 2, alpha 3
     * @return empty where it leaves alpha as it is
     */
    Optional<Ink> onChannel(int place) {
        boolean isAlpha = place == CHANNELS.size() - 1;
        return color.isEmpty() ? Optional.of(this) : isAlpha && !hasAlpha() ? Optional.empty()
                : Optional.of(parse("", Integer.toString(color.get().level(CHANNELS.get(place)))));
    }

    /**
     * Returns the value that it gives a pixel of an image.
     *
     * @throws PixeronException if it is a color, or not a level of a level image
     */
    Rational on(String name, Image image) {
        if (color.isPresent()) {
            throw PixeronException.of("%s has the color %s, but this image is gray. Give a level from 0 to %d.", name, text, image.maximumLevel());
        }
        Rational value = level.orElseGet(() -> Rational.of(image.maximumLevel()));
        if (image.isLevelImage() && !Image.isLevel(value, image.maximumLevel())) {
            throw PixeronException.of("%s has the value %s, which is not a level from 0 to %d.", name, text, image.maximumLevel());
        }
        return value;
    }
}
