package pixeron.project;

import java.util.List;
import java.util.Optional;
import pixeron.image.Pixel;

/**
 * Where a user was when the project was saved.
 *
 * @param position position of the selected step from 0; −1 for the image itself
 * @param picked the picked pixel
 * @param watched pixels whose values are followed through all steps
 * @param walk the walk over the selected step; empty when there is none
 * @param hints how many hints a user has taken who looks for mistakes alone; −1 when everything is shown
 */
public record View(int position, Pixel picked, List<Pixel> watched, Optional<SavedWalk> walk, int hints) {

    /** Everything is shown. */
    public static final int NO_HINTS = -1;

    /** The first step, if there is one, and the first pixel. */
    public static final View START = new View(0, new Pixel(0, 0));

    public View {
        watched = List.copyOf(watched);
    }

    /** A place without watched pixels. */
    public View(int position, Pixel picked) {
        this(position, picked, List.of(), Optional.empty());
    }

    /** A place where everything is shown. */
    public View(int position, Pixel picked, List<Pixel> watched, Optional<SavedWalk> walk) {
        this(position, picked, watched, walk, NO_HINTS);
    }
}
