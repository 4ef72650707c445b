package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.formula.Parser;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.step.key.Amount;
import pixeron.step.key.NumberParameter;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.Mean;
import pixeron.step.neighborhood.WindowOperation;
import pixeron.step.neighborhood.WindowRule;
import pixeron.step.neighborhood.WindowStep;
import pixeron.walk.PseudoCode;
import pixeron.walk.ScanOrder;
import pixeron.walk.Visits;
import pixeron.working.Line;

/** A step with windows made here, in no list, as a reduction and a formula: it has all that such steps have. */
class NewWindowStepTest {

    private static final NumberParameter SIZE = NumberParameter.required("size", "Size");
    private static final NumberParameter GAIN = NumberParameter.required("gain", "Gain");

    /** How far a pixel is from the mean around it. */
    private static final class Relief extends WindowStep {
        Relief(Border outside) {
            super("relief", "Relief", "The distance to the mean around.", "s = gain × |r − mean|", outside, SIZE, GAIN);
        }

        @Override
        public Step starter(int maximumLevel) {
            return new Step(this, small(SIZE).with(GAIN, Amount.of(2)));
        }

        @Override
        public Operation bind(Step step, Inputs inputs) {
            Image before = inputs.image(this);
            WindowRule rule = WindowRule.of(new Mean()).withNumbers(Map.of("gain", step.arguments().get(GAIN).number()))
                    .then("apart", "apart", Parser.parse("r - mean", Set.of("r", "mean")), "")
                    .ending(Parser.parse("gain * abs(apart)", Set.of("gain", "apart")));
            return new WindowOperation(step, before, square(step.arguments(), before,
                    step.arguments().get(SIZE).number().toInt()), rule);
        }
    }

    private static final Image SPECK = Image.of(9, new int[][] {{1, 1, 1}, {1, 5, 1}, {1, 1, 8}});
    private static final Operation BOUND = new Relief(Border.ZERO).starter(9).bind(SPECK);
    private static final Pixel MIDDLE = new Pixel(1, 1);

    /** The middle: mean 20 ÷ 9, |5 − 20/9| · 2 = 50/9 → 6. The corner over zeros: mean 8 ÷ 9, 2/9 → 0. */
    @Test
    void itHasBulkWorkingLoopSourcesAndASheet() {
        Image after = BOUND.result(Progress.NONE);
        assertThat(after.level(4)).isEqualTo(6);
        assertThat(after.level(0)).isZero();
        assertThat(BOUND.explain(MIDDLE).lines().stream().map(Line::text)).contains("20   of 9 cells", "20 ÷ 9 = 20/9 ≈ 2.2222",
                "r − mean = 5 − (20/9) = 25/9 ≈ 2.7778", "s = gain × |apart| = 2 × |25/9| = 2 × (25/9) = 50/9 ≈ 5.5556");
        assertThat(BOUND.explain(MIDDLE).lines().stream().flatMap(line -> line.arrived().stream()).map(Line.Arrived::name))
                .contains("sum", "mean", "apart");
        PseudoCode code = PseudoCode.of(BOUND, Visits.of(ScanOrder.ROWS, 3, 3), MIDDLE);
        assertThat(code.lines()).extracting(row -> row.text()).containsSubsequence("sum ← 0, count ← 0",
                "for each cell (a, b) of the 3 × 3 window", "mean ← sum ÷ count", "r ← before[i][j]", "apart ← r − mean",
                "s ← 2 × |apart|");
        assertThat(BOUND.sources(MIDDLE)).hasSize(9);
        assertThat(BOUND.sheet(BOUND.sheetNames().get(0), Progress.NONE).value(4)).isEqualTo(Rational.of(20, 9));
    }

    /** What another border gives, or eight cells for nine, is told by the step's own rule read otherwise. */
    @Test
    void itHasSlipsOfBordersAndOfACellLeftOut() {
        assertThat(found(BOUND, new Relief(Border.REPEAT).starter(9).bind(SPECK)))
                .isEqualTo("border-repeat");
        assertThat(found(BOUND, BOUND.missing(0).orElseThrow())).isEqualTo("neighbor-missed");
    }

    private static String found(Operation right, Explained written) {
        HandSheet sheet = HandSheet.EMPTY;
        for (Pixel pixel : List.of(new Pixel(0, 0), new Pixel(0, 1), new Pixel(1, 1), new Pixel(2, 2), new Pixel(1, 2))) {
            sheet = sheet.with(pixel, written.value(pixel).toString());
        }
        return SlipFinder.find(Check.of(sheet, right), right).slips().get(0).id();
    }
}
