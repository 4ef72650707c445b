package pixeron.byhand.slip.search;

import java.util.List;
import java.util.Optional;
import pixeron.byhand.Claim;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Explained;

/**
 * A slip that explains cells, or two at once.
 *
 * @param ids the slip; two when both were made at once
 * @param claim how many cells it explains, of how many differing ones that were to be explained: all, or those that were left
 * @param text one sentence for the user
 * @param certainty how sure that is
 * @param pixels the explained cells in reading order
 * @param done what was calculated instead, whose working can be shown beside the right one; empty where that is no step
 */
public record Explanation(List<String> ids, Claim claim, String text, Certainty certainty, List<Pixel> pixels,
        Optional<Explained> done) {

    /**
     * How sure an explanation is.
     *
     * @param words one sentence; empty if there is no explanation
     * @param telling a cell that would tell it from another that explains the same; empty where none is needed
     */
    public record Certainty(String words, Optional<Telling> telling) {

        static final Certainty UNSAID = new Certainty("", Optional.empty());
    }

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

    /** Returns how many cells it explains. */
    public int explains() {
        return claim.explains();
    }

    /** Returns how many differing cells there were to be explained. */
    public int of() {
        return claim.of();
    }

    /** Returns the slip; of two the one that explains more by itself. */
    public String id() {
        return ids.get(0);
    }
}
