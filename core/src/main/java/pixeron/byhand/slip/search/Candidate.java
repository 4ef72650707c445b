package pixeron.byhand.slip.search;

import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.byhand.HandValue;
import pixeron.byhand.slip.search.Explanation.Telling;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Way;

/** A slip in one of its ways, or two at once, with the values that it gave so far. Used by one thread at a time. */
final class Candidate {

    /** For larger images the values of all slips together would fill the memory. */
    private static final int MOST_KEPT = 1 << 12;
    /** When so many values of a step were asked for, all together cost less than more of them one by one. */
    private static final int WORTH_ALL = 30;
    /** The value was asked for, and there is none. */
    private static final Object NOTHING = new Object();

    /** Among levels: there is no value, or one that is no level. */
    private static final int NONE = -1;
    private static final int OTHER = -2;

    private final List<String> ids;
    private final Way way;
    private final Frame frame;
    private final Object[] known;
    private int asked;
    private Optional<Image> whole = Optional.empty();
    /** All values as levels in reading order, once enough of them were asked for; null before. */
    private int[] levels;

    /** @param ids the slip, or the two of them */
    Candidate(List<String> ids, Way way, Frame frame) {
        this.ids = ids;
        this.way = way;
        this.frame = frame;
        this.known = frame.count() <= MOST_KEPT ? new Object[frame.count()] : null;
    }

    List<String> ids() {
        return ids;
    }

    Way way() {
        return way;
    }

    /** @return what the person would have written; empty where the slip says nothing of the cell */
    Optional<Value> value(Pixel pixel) {
        int at = frame.offset(pixel);
        if (whole.isPresent() && whole.get().contains(pixel)) {
            return Optional.of(whole.get().value(pixel));
        } else if (known != null && known[at] != null) {
            return known[at] == NOTHING ? Optional.empty() : Optional.of((Value) known[at]);
        }
        Value value = worked(pixel);
        if (known != null) {
            known[at] = value == null ? NOTHING : value;
        }
        return Optional.ofNullable(value);
    }

    private Value worked(Pixel pixel) {
        try {
            return way.value().apply(pixel);
        } catch (PixeronException withoutValue) {
            return null;
        }
    }

    /** Asked often enough, all values are worth having at once. */
    private boolean hasLevels() {
        return levels != null || known != null && ++asked > WORTH_ALL && levels().length > 0;
    }

    /** @return all values in reading order, not to be changed; negative where there is none, or one that is no level */
    int[] levels() {
        if (levels == null) {
            whole = whole();
            levels = new int[frame.count()];
            for (int n = 0; n < levels.length; n++) {
                levels[n] = value(frame.pixel(n)).map(Candidate::level).orElse(NONE);
            }
        }
        return levels;
    }

    private static int level(Value value) {
        return Image.isLevel(value, Image.LARGEST_MAXIMUM) ? ((Rational) value).toInt() : OTHER;
    }

    /** @return all values at once where a step gives them and none is missing or a double */
    private Optional<Image> whole() {
        try {
            return way.done().filter(Operation.class::isInstance).map(Operation.class::cast)
                    .map(operation -> operation.result(Progress.NONE)).filter(Image::isExact);
        } catch (PixeronException withoutSomeValue) {
            return Optional.empty();
        }
    }

    /** @return whether it gives what the person wrote */
    boolean explains(Asked cell) {
        if (cell.level() != Asked.NO_LEVEL && hasLevels() && levels[cell.offset()] != OTHER) {
            return levels[cell.offset()] == cell.level();
        }
        HandValue byHand = cell.cell().byHand();
        Optional<Value> value = value(cell.pixel());
        return value.isPresent() && (!way.isUnrounded() || byHand.isDetailed() || value.get().isWhole())
                && byHand.agreesWith(value.get());
    }

    /** @return whether the person would have written something else in an agreeing cell */
    boolean contradicts(Asked agreeing) {
        if (agreeing.level() != Asked.NO_LEVEL && hasLevels() && levels[agreeing.offset()] != OTHER) {
            return levels[agreeing.offset()] != NONE && levels[agreeing.offset()] != agreeing.level();
        }
        Optional<Value> value = value(agreeing.pixel());
        return value.isPresent() && !agreeing.cell().byHand().agreesWith(value.get());
    }

    /**
     * @return whether the person would have written neither what is right nor what they wrote in a cell that is explained
     *     already
     */
    boolean contradictsExplained(Asked explained) {
        Optional<Value> value = value(explained.pixel());
        return value.isPresent() && value.get().compareValue(explained.cell().value()) != 0
                && !explained.cell().byHand().agreesWith(value.get());
    }

    /** @return the first place of those in which this and another give different values; empty where there is none */
    Optional<Telling> telling(Candidate other, List<Pixel> places) {
        return places.stream().flatMap(pixel -> value(pixel).flatMap(mine -> other.value(pixel)
                .filter(theirs -> mine.compareValue(theirs) != 0).map(theirs -> new Telling(pixel, mine, theirs))).stream())
                .findFirst();
    }
}
