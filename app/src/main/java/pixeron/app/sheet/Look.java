package pixeron.app.sheet;

import java.util.Optional;
import pixeron.app.model.Display;
import pixeron.app.model.Shown;
import pixeron.image.Image;
import pixeron.look.PixelSet;

/**
 * How the samples of all sheets are drawn.
 *
 * @param display scale, range, number base, lines
 * @param lit pixels that stand out; empty: none does
 */
public record Look(Display display, Optional<PixelSet> lit) {

    /** @return this without lit pixels on an image of another size than the one that they were found in */
    public Look on(Image image, Shown shown) {
        boolean isSame = shown.lit().flatMap(lit -> lit.search().isAfter() ? shown.after() : shown.before())
                .filter(found -> found.image().rows() == image.rows() && found.image().columns() == image.columns())
                .isPresent();
        return isSame ? this : new Look(display, Optional.empty());
    }

    /** @return the look of what is shown */
    public static Look of(Shown shown, Display display) {
        return new Look(display, shown.litPixels());
    }
}
