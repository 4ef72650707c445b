package pixeron.byhand;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.function.IntBinaryOperator;
import java.util.function.IntUnaryOperator;
import org.junit.jupiter.api.Test;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

/** Two slips at once, how sure a slip is, what is simply wrong, and numbers rounded early on curves. */
class TwoSlipsTest {

    private static final int[][] PROOF = {{12, 200, 34, 90, 77}, {5, 61, 140, 23, 250}, {99, 18, 73, 180, 44},
            {131, 7, 221, 66, 155}, {40, 84, 29, 110, 3}};

    private static Findings find(String line, HandSheet sheet) {
        Image before = Image.of(255, PROOF);
        Step step = StepLine.parse(line);
        return SlipFinder.find(Check.of(sheet, step.bind(before)), step.bind(before));
    }

    private static HandSheet filled(IntBinaryOperator written) {
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < 25; n++) {
            sheet = sheet.with(new Pixel(n / 5, n % 5), String.valueOf(written.applyAsInt(n / 5, n % 5)));
        }
        return sheet;
    }

    private static HandSheet ofLevels(IntUnaryOperator written) {
        return filled((i, j) -> written.applyAsInt(PROOF[i][j]));
    }

    /** The sum of a 3 × 3 window, outside 0. */
    private static int sum(int row, int column) {
        int sum = 0;
        for (int i = Math.max(0, row - 1); i <= Math.min(4, row + 1); i++) {
            for (int j = Math.max(0, column - 1); j <= Math.min(4, column + 1); j++) {
                sum += PROOF[i][j];
            }
        }
        return sum;
    }

    @Test
    void twoSlipsAtOnceAreNamedTogether() {
        // Zeros outside where the edge is repeated, and the fraction of sum ÷ 9 dropped.
        Findings found = find("box size=3 border=replicate", filled((i, j) -> sum(i, j) / 9));
        assertThat(found.slips()).hasSize(1);
        Explanation both = found.slips().get(0);
        assertThat(both.ids()).containsExactlyInAnyOrder("rounded-down", "border-zero");
        assertThat(both.text()).contains("the fraction is dropped").contains("values outside are 0");
        assertThat(both.explains()).isEqualTo(both.of());
        assertThat(found.wrong()).isEmpty();
        // The working of both at once is beside the right one: in the corner 278 ÷ 9 = 30.9 becomes 30.
        assertThat(both.done().orElseThrow().value(new Pixel(0, 0))).isEqualTo(Rational.of(30));
    }

    @Test
    void ofTwoSlipsThatAreNotConnectedEachIsNamed() {
        // Rows turned into columns on top of 255 − r with 256 for 255, clipped at 255.
        Findings found = find("invert", filled((i, j) -> Math.min(255, 256 - PROOF[j][i])));
        assertThat(found.slips()).hasSize(1);
        assertThat(found.slips().get(0).ids()).containsExactlyInAnyOrder("rows-columns-swapped", "count-for-maximum");
    }

    @Test
    void aLoopThatIsTooShortIsFoundTogetherWithAnotherSlip() {
        // Zeros are outside, and nothing is written into the first row and column: those are more than half of what differs.
        Findings found = find("box size=3 border=replicate", filled((i, j) -> i == 0 || j == 0 ? 0 : (2 * sum(i, j) + 9) / 18));
        assertThat(found.slips()).hasSize(1);
        assertThat(found.slips().get(0).ids()).containsExactlyInAnyOrder("border-zero", "started-at-one");
        assertThat(found.slips().get(0).text()).contains("the loop over rows and over columns starts at 1, so these cells are 0");
        assertThat(found.wrong()).isEmpty();
    }

    @Test
    void oneSlipIsPreferredWhereItIsEnough() {
        Findings found = find("box size=3", filled((i, j) -> (2 * sum(i, j) + cells(i, j)) / (2 * cells(i, j))).with(new Pixel(4, 4), "7"));
        assertThat(found.slips()).first().extracting(Explanation::ids).isEqualTo(List.of("border-inside"));
    }

    private static int cells(int i, int j) {
        return (i % 4 == 0 ? 2 : 3) * (j % 4 == 0 ? 2 : 3);
    }

    @Test
    void whatNothingExplainsIsSimplyWrong() {
        // Fractions are dropped but for two wild ones.
        HandSheet sheet = ofLevels(r -> r / 3).with(new Pixel(2, 2), "99").with(new Pixel(4, 0), "1");
        Findings found = find("divide divisor=3", sheet);
        assertThat(found.slips()).extracting(Explanation::id).containsExactly("rounded-down");
        assertThat(found.wrong()).extracting(CellCheck::pixel).containsExactly(new Pixel(2, 2), new Pixel(4, 0));
        // 73 ÷ 3 = 24.33 and 40 ÷ 3 = 13.33.
        assertThat(found.wrong()).extracting(CellCheck::distance).containsExactly("75 too large", "12 too small");
    }

    @Test
    void aCellThatWouldTellIsNamed() {
        // 12 + 41 and 5 + 41.
        Findings found = find("add amount=40", HandSheet.EMPTY.with(new Pixel(0, 0), "53").with(new Pixel(1, 0), "46"));
        Explanation slip = found.slips().get(0);
        assertThat(slip.id()).isEqualTo("parameter-off-by-one");
        assertThat(slip.certainty().words()).isEqualTo("Only 2 cells support this, but no other known slip gives these values.");
        // Row 1, column 0: (12 + 200 + 5 + 61 + 99 + 18) ÷ 9 = 43.9 with zeros outside; row 2: 321 ÷ 9 = 35.7.
        Findings zeros = find("box size=3 border=replicate", HandSheet.EMPTY.with(new Pixel(1, 0), "44")
                .with(new Pixel(2, 0), "36").with(new Pixel(2, 2), "86"));
        Explanation zero = zeros.slips().get(0);
        // In the first column the windows leave the image to the left only: zeros there, or the cells missed, are the same.
        assertThat(zero.id()).isEqualTo("border-zero");
        assertThat(zero.certainty().telling()).isPresent();
        assertThat(zero.certainty().words()).startsWith("2 cells are too few to decide:")
                .contains("Enter a value at " + zero.certainty().telling().get().pixel());
        assertThat(zero.certainty().telling().get().here()).isNotEqualTo(zero.certainty().telling().get().there());
    }

    @Test
    void whatGivesTheSameEverywhereIsNamedToo() {
        // Counts 5 9 6 2 6 0 19 17 of the levels 0–7: level 1 gets 7 · 14 ÷ 64 = 1.53 and so 2, with 13 or less 1.
        int[] levels = new int[64];
        int[] counts = {5, 9, 6, 2, 6, 0, 19, 17};
        for (int k = 0, n = 0; k < 8; n += counts[k++]) {
            java.util.Arrays.fill(levels, n, n + counts[k], k);
        }
        Image sort = Image.ofLevels(8, 8, 7, n -> levels[n]);
        int[] written = {1, 1, 2, 2, 3, 3, 5, 7};
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < 64; n++) {
            sheet = sheet.with(sort.pixel(n), String.valueOf(written[levels[n]]));
        }
        Step step = StepLine.parse("equalize");
        Explanation slip = SlipFinder.find(Check.of(sheet, step.bind(sort)), step.bind(sort)).slips().get(0);
        assertThat(slip.explains()).isEqualTo(9);
        assertThat(slip.certainty().words()).startsWith("You would get the same values when ").contains("from level 1 on")
                .endsWith(". Your intermediate values would show which.");
    }

    @Test
    void aSearchThatIsNoLongerWantedEnds() {
        Image before = Image.of(255, PROOF);
        Step step = StepLine.parse("sharpen");
        Check check = Check.of(filled((i, j) -> 1), step.bind(before));
        assertThatThrownBy(() -> new SlipFinder(step.bind(before)).find(check, done -> false))
                .isInstanceOf(CancellationException.class);
    }

    private static int rounded(double value) {
        return Math.max(0, Math.min(255, (int) Math.round(value)));
    }

    private static void early(String line, IntUnaryOperator written) {
        assertThat(find(line, ofLevels(written)).slips()).as(line).first().extracting(Explanation::id)
                .isEqualTo("rounded-early");
    }

    @Test
    void factorsAndCurvesAreRoundedEarly() {
        // 2/3 as 0.67; 7/6 as 1.2; 1 ÷ 7 as 0.14.
        early("multiply factor=2/3", r -> rounded(r * 0.67));
        early("linear gain=7/6 bias=-3", r -> rounded(r * 1.2 - 3));
        early("divide divisor=7", r -> rounded(r * 0.14));
        // r ÷ 255 to two decimals, and its root to two decimals.
        early("power gamma=2", r -> rounded(255 * Math.pow(Math.round(r / 255.0 * 100) / 100.0, 2)));
        early("power gamma=0.5", r -> rounded(255 * Math.round(Math.sqrt(r / 255.0) * 100) / 100.0));
        // c = 255 ÷ ln 256 = 45.986 as 46; ln(1 + r) to one decimal; with the largest sample, 250, c = 46.151 as 46.2.
        early("log", r -> rounded(45.986 * Math.round(Math.log(1 + r) * 10) / 10.0));
        early("log reference=image", r -> rounded(46.2 * Math.log(1 + r)));
        early("exponential scale=46.4", r -> rounded(Math.exp(r / 46.0) - 1));
    }

    @Test
    void whatAProgramPrintedAgrees() {
        // 14 + 2/9 has no end; a program writes the double nearest to it.
        HandValue written = HandValue.parse(String.valueOf(14.0 + 2.0 / 9));
        assertThat(written.agreesWith(Rational.of(128, 9))).isTrue();
        assertThat(HandValue.parse("14.222222222221").agreesWith(Rational.of(128, 9))).isFalse();
    }
}
