package pixeron.byhand.slip.search;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
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
    static final int MOST_KEPT = 1 << 12;
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
    private final boolean keepsValues;
    /** Values that were asked for one by one; null before the first. */
    private Object[] known;
    private int asked;
    private Optional<Image> whole = Optional.empty();
    private boolean isTriedAtOnce;
    /** Levels of all places can be asked for. */
    private boolean isReady;
    /** All values as levels in reading order, where they are not those of an image with levels. */
    private int[] levels;

    /** @param ids the slip, or the two of them */
    Candidate(List<String> ids, Way way, Frame frame) {
        this.ids = ids;
        this.way = way;
        this.frame = frame;
        this.keepsValues = frame.count() <= MOST_KEPT;
    }

    List<String> ids() {
        return ids;
    }

    Way way() {
        return way;
    }

    /** Returns what the user would have written; empty where the slip says nothing of the cell. */
    Optional<Value> value(Pixel pixel) {
        int at = frame.offset(pixel);
        if (whole.isPresent() && whole.get().contains(pixel)) {
            return Optional.of(whole.get().value(pixel));
        } else if (known != null && known[at] != null) {
            return known[at] == NOTHING ? Optional.empty() : Optional.of((Value) known[at]);
        }
        Value value = worked(pixel);
        if (keepsValues) {
            known = known == null ? new Object[frame.count()] : known;
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

    /** Asked often enough, all values are worth having at once; where they come one by one, only once all were asked for. */
    private boolean hasLevels() {
        if (isReady || !keepsValues || ++asked <= WORTH_ALL) {
            return isReady;
        }
        if (atOnce().isPresent() || asked > frame.count()) {
            makeReady();
        }
        return isReady;
    }

    /** All values, where they come at once. */
    void prepare() {
        if (keepsValues && atOnce().isPresent()) {
            makeReady();
        }
    }

    private Optional<Image> atOnce() {
        if (!isTriedAtOnce) {
            isTriedAtOnce = true;
            whole = whole();
        }
        return whole;
    }

    private void makeReady() {
        isReady = true;
        // An image of levels is asked itself: it takes a byte for each.
        if (atOnce().filter(image -> image.isLevelImage() && image.frame().equals(frame)).isEmpty()) {
            levels = new int[frame.count()];
            for (int n = 0; n < levels.length; n++) {
                levels[n] = value(frame.pixel(n)).map(Candidate::level).orElse(NONE);
            }
        }
    }

    /** Returns what is given at a place in reading order, where all is known; negative where that is nothing, or no level. */
    private int level(int offset) {
        return levels == null ? whole.orElseThrow().level(offset) : levels[offset];
    }

    /** Returns all values in reading order; negative where there is none, or one that is no level. */
    int[] levels() {
        if (!isReady) {
            makeReady();
        }
        return IntStream.range(0, frame.count()).map(this::level).toArray();
    }

    private static int level(Value value) {
        return Image.isLevel(value, Image.LARGEST_MAXIMUM) ? ((Rational) value).toInt() : OTHER;
    }

    /** Returns all values at once where a step gives them and none is missing or a double. */
    private Optional<Image> whole() {
        try {
            return way.done().filter(Operation.class::isInstance).map(Operation.class::cast)
                    .map(operation -> operation.result(Progress.NONE)).filter(Image::isExact);
        } catch (PixeronException withoutSomeValue) {
            return Optional.empty();
        }
    }

    /** Returns whether it gives what the user wrote. */
    boolean explains(Asked cell) {
        if (cell.level() != Asked.NO_LEVEL && hasLevels() && level(cell.offset()) != OTHER) {
            return level(cell.offset()) == cell.level();
        }
        HandValue byHand = cell.cell().byHand();
        Optional<Value> value = value(cell.pixel());
        return value.isPresent() && (!way.isUnrounded() || byHand.isDetailed() || value.get().isWhole())
                && byHand.agreesWith(value.get());
    }

    /** Returns whether the user would have written something else in an agreeing cell. */
    boolean contradicts(Asked agreeing) {
        if (agreeing.level() != Asked.NO_LEVEL && hasLevels() && level(agreeing.offset()) != OTHER) {
            return level(agreeing.offset()) != NONE && level(agreeing.offset()) != agreeing.level();
        }
        Optional<Value> value = value(agreeing.pixel());
        return value.isPresent() && !agreeing.cell().byHand().agreesWith(value.get());
    }

    /**
     * Returns whether the user would have written neither what is right nor what they wrote in a cell that is explained
     * already.
     */
    boolean contradictsExplained(Asked explained) {
        Optional<Value> value = value(explained.pixel());
        return value.isPresent() && value.get().compareValue(explained.cell().value()) != 0
                && !explained.cell().byHand().agreesWith(value.get());
    }

    /** Returns the first place of those in which this and another give different values; empty where there is none. */
    Optional<Telling> telling(Candidate other, List<Pixel> places) {
        return places.stream().flatMap(pixel -> value(pixel).flatMap(mine -> other.value(pixel)
                .filter(theirs -> mine.compareValue(theirs) != 0).map(theirs -> new Telling(pixel, mine, theirs))).stream())
                .findFirst();
    }
}
