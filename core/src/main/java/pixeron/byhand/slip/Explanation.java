package pixeron.byhand.slip;

import java.util.List;
import pixeron.image.Pixel;

/**
 * A slip that explains cells.
 *
 * @param id the slip
 * @param explains how many cells it explains
 * @param of how many differing cells there were to be explained: all of them, or those that were left
 * @param text one sentence for the person
 * @param pixels the explained cells in reading order
 */
public record Explanation(String id, int explains, int of, String text, List<Pixel> pixels) {

    public Explanation {
        pixels = List.copyOf(pixels);
    }
}
