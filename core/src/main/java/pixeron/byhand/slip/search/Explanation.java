package pixeron.byhand.slip.search;

import java.util.List;
import java.util.Optional;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Explained;

/**
 * A slip that explains cells, or two at once.
 *
 * @param ids the slip; two when both were made at once
 * @param explains how many cells it explains
 * @param of how many differing cells there were to be explained: all of them, or those that were left
 * @param text one sentence for the person
 * @param certainty how sure that is, one sentence; empty where there is nothing to be said
 * @param telling a cell that would tell it from another that explains the same; empty where none is needed
 * @param pixels the explained cells in reading order
 * @param done what was worked out instead, whose working can be shown beside the right one; empty where that is no step
 */
public record Explanation(List<String> ids, int explains, int of, String text, String certainty, Optional<Telling> telling,
        List<Pixel> pixels, Optional<Explained> done) {

    /**
     * A cell that is not filled and would tell one slip from another.
     *
     * @param pixel its place
     * @param here what the slip gives there
     * @param there what the other gives there
     */
    public record Telling(Pixel pixel, Value here, Value there) {
    }

    public Explanation {
        ids = List.copyOf(ids);
        pixels = List.copyOf(pixels);
    }

    /** @return the slip; of two the one that explains more by itself */
    public String id() {
        return ids.get(0);
    }
}
