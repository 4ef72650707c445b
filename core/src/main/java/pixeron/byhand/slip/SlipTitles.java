package pixeron.byhand.slip;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** The titles of slips: two to four words for tables and lists. The ids stay in data files, so that scripts can rely on them. */
public final class SlipTitles {

    private static final Map<String, String> TITLES = titles("""
            not-rounded: Not rounded
            rounded-down: Rounded down
            rounded-up: Rounded up
            rounded-nearest: Rounded to nearest
            ties-to-even: Ties to even
            rounded-early: Rounded too early
            not-clipped: Not clipped
            wrapped: Wrapped around
            signed-byte: Signed bytes
            count-for-maximum: M + 1 instead of M
            maximum-for-count: M instead of M + 1
            wrong-operation: Opposite operation
            parameter-off-by-one: Parameter off by one
            strictness: < instead of ≤, or vice versa
            no-else: Conditions without else
            black-white-swapped: High and low swapped
            unchanged: Values unchanged
            channels-swapped: Channels swapped
            mask-slip: Wrong mask or shift
            carried-over: Carry into next channel
            alpha-too: Alpha changed as well
            other-gray-rule: Different gray rule
            hue-not-wrapped: Hue not wrapped around
            wrong-case: Wrong case of hue
            sector-forgotten: + 2 or + 4 omitted
            unit-for-percent: Percent and 0–1 confused
            degrees-for-levels: Hue in another scale
            smallest-for-largest: Smallest instead of largest
            model-swapped: Different color model
            key-not-removed: Key not removed
            transparency-ignored: Transparency ignored
            corner-for-size: Last pixel used as size
            place-swapped: Row and column swapped
            counted-from-one: Counted from 1
            turned-other-way: Wrong rotation
            flipped-other-way: Wrong flip direction
            other-grid: Different sampling grid
            nearest-for-linear: Wrong interpolation
            order-swapped: Operands swapped
            not-absolute: Sign kept
            one-plus-forgotten: 1 + omitted
            not-centered: Spectrum not centered
            sign-of-angle: Wrong sign in the exponent
            one-direction-only: Only one dimension summed
            pair-forgotten: Conjugate not removed
            not-divided: Not divided by H·W
            other-energy: Wrong energy measure
            one-value-more: One singular value too many or too few
            sigma-forgotten: σ omitted
            degrees-for-radians: Degrees and radians confused
            period-for-cycles: Period and cycles confused
            stretch-for-equalize: Stretched, not equalized
            share-not-running: Not cumulative
            share-from-first: Lowest level subtracted
            share-plain: Lowest level not subtracted
            running-count-slip: Wrong cumulative count
            miscounted: Miscounted
            border-zero: Zeros outside
            border-constant: Constant outside
            border-repeat: Edge replicated
            border-mirror-half: Reflected, edge repeated
            border-mirror-whole: Reflected, edge not repeated
            border-wrap: Periodic border
            border-keep: Border pixels unchanged
            border-inside: Outside cells ignored
            kernel-turned: Kernel rotation confused
            kernel-transposed: Kernel transposed
            divisor-missing: Divisor omitted
            offset-missing: Offset omitted
            neighbor-missed: Neighbor omitted
            neighbor-twice: Neighbor counted twice
            sign-slip: Sign of a weight
            written-in-place: Written in place
            rows-columns-swapped: Rows and columns swapped
            shifted-by-one: Shifted by one
            started-at-one: Loop starts at 1
            stopped-early: Loop stops early
            integer-division: Integer division
            byte-overflow: Byte overflow
            digits-swapped: Digits swapped
            one-unit-off: Off by one""");

    private SlipTitles() {
    }

    private static Map<String, String> titles(String lines) {
        Map<String, String> titles = new HashMap<>();
        lines.lines().forEach(line -> titles.put(line.substring(0, line.indexOf(": ")), line.substring(line.indexOf(": ") + 2)));
        return Map.copyOf(titles);
    }

    /**
     * Returns the title of a slip.
     *
     * @param id of one of the known slips
     * @throws IllegalArgumentException if there is no such slip
     */
    public static String of(String id) {
        String title = TITLES.get(id);
        if (title == null) {
            throw new IllegalArgumentException("no slip " + id);
        }
        return title;
    }

    /** Returns the titles of slips that were made at once, joined by " + ". */
    public static String of(List<String> ids) {
        return ids.stream().map(SlipTitles::of).collect(Collectors.joining(" + "));
    }

    /** Returns the titles of slips in the written form of {@code FirstSlip}, ids joined by " + ". */
    public static String ofWritten(String ids) {
        return of(List.of(ids.split(" \\+ ")));
    }
}
