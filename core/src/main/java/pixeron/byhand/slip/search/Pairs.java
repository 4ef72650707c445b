package pixeron.byhand.slip.search;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import pixeron.PixeronException;
import pixeron.byhand.slip.ending.LeftUnfinished;
import pixeron.byhand.slip.sheet.LoopEnds;
import pixeron.byhand.slip.sheet.PlaceSlip;
import pixeron.byhand.slip.window.WrittenInPlace;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.KnownValues;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Slip;
import pixeron.step.StepType;
import pixeron.step.Way;

/**
 * Two slips at once: one that amounts to another step, and a second one made in that step. Two of a kind, such as two ways to
 * round, are no pair, and slips with very many ways are paired with slips of rounding and clipping only.
 */
final class Pairs {

    /** A slip with more ways than this is paired with endings only. */
    private static final int FEW = 20;
    /** The same in a large image, where every pair costs more and nobody writes all values by hand. */
    private static final int FEW_IN_LARGE = 8;
    private static final int LARGE = 1 << 10;
    /** A slip with more ways than this is not paired at all. */
    private static final int MANY = 100;

    /** In a larger image what is written in place, which has to be gone through from the first pixel on, is not paired. */
    private static final int MOST_IN_PLACE = 1 << 8;

    private static final Set<String> ENDINGS = Set.of("rounding", "overflow");

    private Pairs() {
    }

    /** Of two slips of the same kind only one can be made at a time. */
    private static String kind(String id) {
        return switch (id) {
            case "not-rounded", "rounded-down", "rounded-up", "rounded-nearest", "ties-to-even" -> "rounding";
            case "not-clipped", "wrapped", "signed-byte" -> "overflow";
            case "share-not-running", "share-from-first", "share-plain", "stretch-for-equalize", "running-count-slip",
                    "miscounted" -> "counts";
            default -> id.startsWith("border-") ? "border" : id;
        };
    }

    /** Returns all pairs that are tried on a step, in the order of preference of the first and then of the second. */
    static List<Candidate> of(Operation right, Progress progress) {
        Frame frame = right.frame();
        List<Slip> slips = KnownSlips.of(right.step().type()).stream().filter(slip -> !(slip instanceof LeftUnfinished)
                && (frame.count() <= MOST_IN_PLACE || !(slip instanceof WrittenInPlace))).toList();
        List<List<Way>> ways = slips.stream().map(slip -> slip.ways(right)).toList();
        Map<Way, Function<Pixel, Value>> once = new IdentityHashMap<>();
        List<Candidate> pairs = new ArrayList<>();
        for (int first = 0; first < slips.size(); first++) {
            progress.report(0);
            for (int second = first + 1; second < slips.size(); second++) {
                Slip one = slips.get(first);
                Slip other = slips.get(second);
                if (isPaired(one, ways.get(first).size(), other, ways.get(second).size(),
                        frame.count() > LARGE ? FEW_IN_LARGE : FEW)) {
                    List<String> ids = List.of(one.id(), other.id());
                    // What changes only the places or the result comes on top of what changes the step.
                    boolean isOnTop = !(other instanceof PlaceSlip) && (one instanceof PlaceSlip
                            || ways.get(first).stream().allMatch(way -> way.step().isEmpty()));
                    onTop(isOnTop ? ways.get(second) : ways.get(first), isOnTop ? one : other, right, once).forEach(both ->
                            pairs.add(new Candidate(ids, both, frame)));
                }
            }
        }
        return pairs;
    }

    private static boolean isPaired(Slip one, int ways, Slip other, int otherWays, int few) {
        if (few == FEW_IN_LARGE && one instanceof LoopEnds != other instanceof LoopEnds && !ENDINGS.contains(kind(one instanceof LoopEnds ? other.id() : one.id()))) {
            // A loop that is too short and something else besides is looked for where the many pairs that these make cost little.
            return false;
        }
        boolean isEnding = ENDINGS.contains(kind(one.id())) || ENDINGS.contains(kind(other.id()));
        return !kind(one.id()).equals(kind(other.id())) && ways > 0 && otherWays > 0
                && Math.max(ways, otherWays) <= (isEnding ? MANY : few);
    }

    private static List<Way> onTop(List<Way> below, Slip slip, Operation right, Map<Way, Function<Pixel, Value>> once) {
        List<Way> both = new ArrayList<>();
        for (Way way : below) {
            try {
                List<Way> second = slip instanceof PlaceSlip place ? place.moved(once.computeIfAbsent(way, found -> once(found, right.frame())), right)
                        : way.done().filter(done -> way.step().isPresent()).filter(Operation.class::isInstance)
                                .map(Operation.class::cast).map(done -> again(slip, right, done)).orElse(List.of());
                second.forEach(found -> both.add(way.and(found)));
            } catch (PixeronException notPossible) {
                // Such as a step that the first slip has made into one without a border.
            }
        }
        return both;
    }

    /** What is moved to other places is the same values each time: in a small image each is calculated once. */
    private static Function<Pixel, Value> once(Way way, Frame frame) {
        return frame.count() <= MOST_IN_PLACE ? KnownValues.once(way.value(), frame) : way.value();
    }

    /** A slip of the step's own kind, where the first slip has made it into a step of another kind, is that of the new kind. */
    private static List<Way> again(Slip slip, Operation right, Operation done) {
        StepType type = done.step().type();
        return type.equals(right.step().type()) ? slip.ways(done) : KnownSlips.of(type, slip.id())
                .filter(other -> !(other instanceof LeftUnfinished)).flatMap(other -> other.ways(done).stream()).toList();
    }
}
