package pixeron.byhand.slip;

import java.util.List;
import java.util.Optional;
import pixeron.image.Pixel;
import pixeron.step.Explained;

/**
 * A slip that explains cells.
 *
 * @param id the slip
 * @param explains how many cells it explains
 * @param of how many differing cells there were to be explained: all of them, or those that were left
 * @param text one sentence for the person
 * @param pixels the explained cells in reading order
 * @param done what was worked out instead, whose working can be shown beside the right one; empty where that is no step
 */
public record Explanation(String id, int explains, int of, String text, List<Pixel> pixels, Optional<Explained> done) {

    public Explanation {
        pixels = List.copyOf(pixels);
    }
}
