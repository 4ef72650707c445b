package pixeron.app.sheet.paint;

import java.util.Optional;
import pixeron.app.model.Described;
import pixeron.app.model.Display;
import pixeron.app.model.Shown;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.look.PixelSet;

/**
 * How the samples of all sheets are drawn.
 *
 * @param display scale, range, number base, lines
 * @param lit pixels that stand out; empty: none does
 */
public record Look(Display display, Optional<PixelSet> lit) {

    /** Returns this with the lit pixels of Before or of After, where they belong to an image of this size. */
    public Look on(Frame frame, boolean isAfter, Shown shown) {
        Optional<Image> found = (isAfter ? shown.after() : shown.before()).or(shown::after).map(Described::image);
        return new Look(display, shown.lit().filter(lit -> found.filter(same -> same.frame().isSized(frame)).isPresent())
                .flatMap(isAfter ? Shown.Lit::after : Shown.Lit::before));
    }

    /** Returns whether the pixel at a row-major offset is lit. */
    boolean isLit(int offset) {
        return lit.isPresent() && lit.get().contains(offset);
    }

    /** Returns the look of what is shown. */
    public static Look of(Shown shown, Display display) {
        return new Look(display, shown.litPixels());
    }
}
