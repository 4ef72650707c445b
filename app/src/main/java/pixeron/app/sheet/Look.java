package pixeron.app.sheet;

import java.util.Optional;
import pixeron.app.model.Display;
import pixeron.app.model.Shown;
import pixeron.look.PixelSet;

/**
 * How the samples of all sheets are drawn.
 *
 * @param display scale, range, number base, lines
 * @param lit pixels that stand out; empty: none does
 */
public record Look(Display display, Optional<PixelSet> lit) {

    /** @return the look of what is shown */
    public static Look of(Shown shown, Display display) {
        return new Look(display, shown.litPixels());
    }
}
