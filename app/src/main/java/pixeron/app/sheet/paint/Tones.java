package pixeron.app.sheet.paint;

import javafx.scene.paint.Color;
import pixeron.app.model.Described;
import pixeron.app.model.Display;
import pixeron.app.model.Scale;

/** The colors of an image's values on the screen, and the ink that can be read on each. */
public final class Tones {

    /** Where black and white have the same contrast, at least 4.5 : 1 each. */
    private static final double MIDDLE_LUMINANCE = 0.179;

    private final double low;
    private final double factor;
    private final Color[] fills = new Color[Scale.STEPS];
    private final Color[] inks = new Color[Scale.STEPS];
    private final Scale scale;
    /** Place on the scale for each level of a level image; null for a real-valued image. */
    private final byte[] places;
    private final Described described;

    /** @param described its facts say what the ends of the scale are */
    Tones(Described described, Display display) {
        this.described = described;
        this.scale = display.scale();
        Display.Ends ends = display.ends(described);
        low = ends.low();
        factor = (Scale.STEPS - 1) / Math.max(ends.high() - ends.low(), 1e-12);
        for (int place = 0; place < Scale.STEPS; place++) {
            int argb = scale.color(place);
            fills[place] = Color.rgb(argb >> 16 & 0xFF, argb >> 8 & 0xFF, argb & 0xFF);
            inks[place] = ink(fills[place]);
        }
        places = described.image().isLevelImage() ? new byte[described.image().maximumLevel() + 1] : null;
        for (int level = 0; places != null && level < places.length; level++) {
            places[level] = (byte) place(level);
        }
    }

    /** Returns black or white, whichever has more contrast on a ground. */
    static Color ink(Color ground) {
        return luminance(ground) > MIDDLE_LUMINANCE ? Color.BLACK : Color.WHITE;
    }

    /** Returns relative luminance, 0–1. */
    public static double luminance(Color color) {
        return 0.2126 * linear(color.getRed()) + 0.7152 * linear(color.getGreen()) + 0.0722 * linear(color.getBlue());
    }

    private static double linear(double channel) {
        return channel <= 0.04045 ? channel / 12.92 : Math.pow((channel + 0.055) / 1.055, 2.4);
    }

    private int place(double value) {
        return (int) Math.max(0, Math.min(Scale.STEPS - 1, Math.rint((value - low) * factor)));
    }

    /** Returns the place on the scale of the sample at a row-major offset, 0 … {@link Scale#STEPS} − 1. */
    int placeAt(int offset) {
        return places != null ? places[described.image().level(offset)] & 0xFF
                : place(described.image().asDouble(offset));
    }

    /** Returns the point for a value, as 0xAARRGGBB. */
    int point(double value) {
        return scale.color(place(value));
    }

    /** Returns the point for the sample at a row-major offset, as 0xAARRGGBB. */
    int pointAt(int offset) {
        return scale.color(placeAt(offset));
    }

    Color fill(int place) {
        return fills[place];
    }

    /** Returns black or white, whichever has more contrast on the color of that place. */
    Color ink(int place) {
        return inks[place];
    }
}
