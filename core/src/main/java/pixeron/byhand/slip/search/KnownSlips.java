package pixeron.byhand.slip.search;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import pixeron.byhand.slip.ending.LeftUnfinished;
import pixeron.byhand.slip.ending.NotClipped;
import pixeron.byhand.slip.ending.NotRounded;
import pixeron.byhand.slip.ending.RoundedDown;
import pixeron.byhand.slip.ending.RoundedNearest;
import pixeron.byhand.slip.ending.RoundedUp;
import pixeron.byhand.slip.ending.SignedByte;
import pixeron.byhand.slip.ending.TiesToEven;
import pixeron.byhand.slip.ending.Wrapped;
import pixeron.byhand.slip.point.CornerForSize;
import pixeron.byhand.slip.point.CountForMaximum;
import pixeron.byhand.slip.point.MaximumForCount;
import pixeron.byhand.slip.point.ParameterOffByOne;
import pixeron.byhand.slip.point.PlaceSwapped;
import pixeron.byhand.slip.point.WrongOperation;
import pixeron.byhand.slip.sheet.LoopEnds;
import pixeron.byhand.slip.sheet.RowsColumnsSwapped;
import pixeron.byhand.slip.sheet.ShiftedByOne;
import pixeron.byhand.slip.window.WrittenInPlace;
import pixeron.step.Slip;
import pixeron.step.StepType;

/**
 * The slips that are looked for in several cells of a step: those that any step can have, and those that it names itself.
 * One that any step can have is a class and a line here.
 */
public final class KnownSlips {

    private static final List<Slip> OF_ALL = List.of(new NotRounded(), new RoundedDown(), new RoundedUp(), new RoundedNearest(),
            new TiesToEven(), new NotClipped(), new Wrapped(), new SignedByte(), new LeftUnfinished(), new CountForMaximum(), new MaximumForCount(),
            new WrongOperation(), new CornerForSize(), new PlaceSwapped(), new ParameterOffByOne(), new WrittenInPlace(), new RowsColumnsSwapped(),
            new ShiftedByOne(), LoopEnds.startedAtOne(), LoopEnds.stoppedEarly());

    /** All ids in the order of preference among slips that explain as many cells. */
    private static final List<String> ORDER = List.of("not-rounded", "rounded-down", "rounded-up", "rounded-nearest",
            "ties-to-even", "not-clipped", "wrapped", "count-for-maximum", "maximum-for-count", "wrong-operation", "strictness", "no-else",
            "other-gray-rule", "hue-not-wrapped", "sector-forgotten", "wrong-case", "degrees-for-levels", "unit-for-percent", "smallest-for-largest", "model-swapped", "key-not-removed",
            "channels-swapped", "transparency-ignored", "corner-for-size", "place-swapped", "counted-from-one", "turned-other-way", "flipped-other-way",
            "other-grid", "nearest-for-linear", "order-swapped", "one-plus-forgotten", "not-absolute", "degrees-for-radians", "period-for-cycles", "other-energy", "one-value-more",
            "sigma-forgotten", "not-centered", "not-divided", "sign-of-angle", "pair-forgotten", "one-direction-only", "parameter-off-by-one",
            "black-white-swapped", "stretch-for-equalize", "share-not-running", "share-from-first", "share-plain", "border-zero",
            "border-repeat", "border-mirror-half", "border-mirror-whole", "border-wrap", "border-keep", "border-inside",
            "kernel-turned", "kernel-transposed", "divisor-missing", "offset-missing", "written-in-place",
            "rows-columns-swapped", "shifted-by-one", "neighbor-missed", "neighbor-twice", "sign-slip", "rounded-early",
            "running-count-slip", "miscounted", "integer-division", "byte-overflow", "signed-byte", "started-at-one", "stopped-early", "border-constant");

    private static final Map<String, Integer> PLACES = IntStream.range(0, ORDER.size()).boxed().collect(Collectors.toMap(ORDER::get, Function.identity()));

    private KnownSlips() {
    }

    /** Returns all that a step of this kind can have, in the order of preference; of the same id in the order of the step. */
    public static List<Slip> of(StepType type) {
        List<Slip> all = new ArrayList<>(OF_ALL);
        all.addAll(type.slips());
        all.sort(Comparator.comparingInt(KnownSlips::place));
        return all;
    }

    /** Returns those of {@link #of} with an id, in their order. */
    static Stream<Slip> of(StepType type, String id) {
        return Stream.concat(OF_ALL.stream(), type.slips().stream()).filter(slip -> slip.id().equals(id));
    }

    private static int place(Slip slip) {
        // Two things left out come after each of them alone.
        return PLACES.getOrDefault(slip instanceof LeftUnfinished ? "wrapped" : slip.id(), ORDER.size());
    }
}
