package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.pointwise.PointStep;
import pixeron.walk.PseudoCode;
import pixeron.walk.ScanOrder;
import pixeron.walk.Visits;
import pixeron.working.Line;

/** A step made here, which is in no list, has all that steps have. */
class NewStepTest {

    private static final NumberParameter AT = NumberParameter.level("at", "At", Amount.of(3)).givenAlways();
    private static final NumberParameter GAIN = NumberParameter.required("gain", "Gain");

    /** Lifts what is above a limit. */
    private static final class Lift extends PointStep {
        Lift() {
            super("lift", "Lift", "Multiplies levels above a limit.", "if(r > at, gain * r, r)", AT, GAIN);
        }

        @Override
        public Step starter(int maximumLevel) {
            return new Step(this, Arguments.NONE.with(AT, Amount.of(3)).with(GAIN, new Amount(Rational.of(3, 2))));
        }
    }

    private static final Image SORT = Image.ofLevels(4, 4, 7, n -> n % 8);
    private static final Step LIFT = new Lift().starter(7);
    private static final Operation BOUND = LIFT.bind(SORT);

    /** 4 · 1.5 = 6, 5 · 1.5 = 7.5 → 8 → 7, 6 · 1.5 = 9 → 7. */
    @Test
    void itHasBulkWorkingLoopCurveAndTables() {
        Image after = BOUND.result(Progress.NONE);
        assertThat(IntStream.range(0, 8).map(after::level)).containsExactly(0, 1, 2, 3, 6, 7, 7, 7);
        assertThat(BOUND.explain(new Pixel(1, 1)).lines().stream().map(Line::text)).contains("s = gain × r if r > at, else r",
                "s = 1.5 × 5 if 5 > 3, else 5", "  = 7.5", "7.5 → 8   nearest, ties away from zero");
        PseudoCode code = PseudoCode.of(BOUND, Visits.of(ScanOrder.ROWS, 4, 4), new Pixel(1, 1));
        assertThat(code.lines()).extracting(row -> row.text()).contains("s ← gain × r if r > at, else r", "s ← s clipped to 0–7");
        assertThat(BOUND.mapping().orElseThrow().above()).as("5 becomes 8 and so on, twice each").isEqualTo(6);
        assertThat(BOUND.tables()).extracting(table -> table.name()).containsExactly("histogram", "levels");
    }

    private static String found(HandSheet sheet, Operation right) {
        return SlipFinder.find(Check.of(sheet, right), right).slips().get(0).id();
    }

    private static HandSheet written(int... levels) {
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < 16; n++) {
            sheet = sheet.with(SORT.pixel(n), String.valueOf(levels[n % 8]));
        }
        return sheet;
    }

    @Test
    void itHasSlipsOfRoundingOverflowLimitsAndAreas() {
        assertThat(found(written(0, 1, 2, 3, 6, 8, 9, 11), BOUND)).isEqualTo("not-clipped");
        assertThat(found(written(0, 1, 2, 3, 6, 0, 1, 3), BOUND)).isEqualTo("wrapped");
        Operation kept = LIFT.with(Overflow.KEEP).bind(SORT);
        assertThat(found(written(0, 1, 2, 3, 6, 7, 9, 10), kept)).isEqualTo("rounded-down");
        // 3 · 1.5 = 4.5 → 5 where 3 itself counts as above.
        assertThat(found(written(0, 1, 2, 5, 6, 7, 7, 7), BOUND)).isEqualTo("strictness");
        assertThat(found(written(0, 1, 2, 3, 4, 5, 6, 7), LIFT.with(AT, Amount.of(5)).bind(SORT))).isEqualTo("parameter-off-by-one");
    }

    /** "0 1 3 2" is rows 0 to 2; who takes 3 and 2 for the last pixel goes on to row 3, where 5 and 6 become 7. */
    @Test
    void anAreaIsMisreadAsFirstAndLastPixel() {
        Operation right = LIFT.with(StepType.AREA, new Area(0, 1, 3, 2)).bind(SORT);
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < 16; n++) {
            boolean isMisread = n == 13 || n == 14;
            sheet = sheet.with(SORT.pixel(n), isMisread ? "7" : right.value(SORT.pixel(n)).toString());
        }
        assertThat(found(sheet, right)).isEqualTo("corner-for-size");
        assertThat(new Area(1, 1, 2, 2).misread()).as("rows 1 to 2, columns 1 to 2 either way").isEmpty();
    }
}
