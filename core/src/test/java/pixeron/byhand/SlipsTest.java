package pixeron.byhand;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.function.UnaryOperator;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.step.Operation;
import pixeron.step.Step;
import pixeron.step.StepArbitraries;
import pixeron.step.catalog.StepLine;

/** Values by hand are made here with decimals, not with the code that finds the slips. */
class SlipsTest {

    private static final String LINE = "linear gain=3.75 bias=-360";
    private static final Image BEFORE = Image.of(255, new int[][] {{90, 97, 98, 99, 137}, {141, 150, 163, 170, 181}});

    private static List<Explanation> slips(UnaryOperator<BigDecimal> ending) {
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < BEFORE.count(); n++) {
            BigDecimal exact = new BigDecimal("3.75").multiply(new BigDecimal(BEFORE.level(n)))
                    .subtract(new BigDecimal(360));
            sheet = sheet.with(BEFORE.pixel(n), ending.apply(exact).stripTrailingZeros().toPlainString());
        }
        return find(sheet, LINE, BEFORE);
    }

    private static List<Explanation> find(HandSheet sheet, String line, Image before) {
        Step step = StepLine.parse(line);
        return SlipFinder.find(Check.of(sheet, step.bind(before)), step.bind(before)).slips();
    }

    private static BigDecimal clipped(BigDecimal value) {
        return value.max(BigDecimal.ZERO).min(new BigDecimal(255));
    }

    @Test
    void eachSlipIsFoundFirst() {
        assertThat(slips(v -> clipped(v.setScale(0, RoundingMode.HALF_UP)))).isEmpty();
        assertThat(slips(v -> clipped(v))).first().extracting(Explanation::id).isEqualTo("not-rounded");
        assertThat(slips(v -> v)).first().extracting(Explanation::id).isEqualTo("not-rounded");
        assertThat(slips(v -> clipped(v.setScale(0,
                RoundingMode.DOWN)))).first().extracting(Explanation::id).isEqualTo("rounded-down");
        assertThat(slips(v -> clipped(v.setScale(0,
                RoundingMode.UP)))).first().extracting(Explanation::id).isEqualTo("rounded-up");
        assertThat(slips(v -> v.setScale(0,
                RoundingMode.HALF_UP))).first().extracting(Explanation::id).isEqualTo("not-clipped");
        assertThat(slips(v -> new BigDecimal(Math.floorMod(v.setScale(0, RoundingMode.HALF_UP).intValueExact(), 256))))
                .first().extracting(Explanation::id).isEqualTo("wrapped");
    }

    @Test
    void anExplanationSaysHowManyAndInWords() {
        Explanation slip = slips(v -> clipped(v.setScale(0, RoundingMode.DOWN))).get(0);
        // Exact values with a fraction of a half or more: 3.75, 153.75, 168.75, 202.5; 7.5 is a fifth. 251.25 rounds
        // down anyway.
        assertThat(slip.explains()).isEqualTo(5);
        assertThat(slip.of()).isEqualTo(5);
        assertThat(slip.text())
                .isEqualTo("All 5 differing cells are what you get when the fraction is dropped instead of rounded.");
        assertThat(slip.pixels()).hasSize(5);
    }

    @Test
    void theRestIsSearchedAgain() {
        // Dropped fractions in the first row, values not clipped in the second; both together explain all.
        Image before = Image.of(255, new int[][] {{97, 101, 105, 109, 113}, {170, 180, 190, 96, 100}});
        String[][] written = {{"3", "18", "33", "48", "63"}, {"278", "315", "353", "0", "15"}};
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < before.count(); n++) {
            sheet = sheet.with(before.pixel(n), written[n / 5][n % 5]);
        }
        assertThat(find(sheet, LINE, before)).extracting(Explanation::id).containsExactly("rounded-down",
                "not-clipped");
    }

    @Test
    void nothingIsClaimedForOneCellOrAgainstAgreeingCells() {
        HandSheet one = HandSheet.EMPTY.with(BEFORE.pixel(4), "153");
        // 153 for 154: of one cell alone only a slip of writing is said.
        assertThat(find(one, LINE, BEFORE)).extracting(Explanation::id).containsExactly("one-unit-off");
        assertThat(find(HandSheet.EMPTY.with(BEFORE.pixel(4), "150"), LINE, BEFORE)).isEmpty();
        // Two dropped fractions, but two others were rounded: the user knows how to round.
        HandSheet mixed = one.with(BEFORE.pixel(1), "3").with(BEFORE.pixel(5), "169").with(BEFORE.pixel(6), "203");
        assertThat(find(mixed, LINE, BEFORE)).isEmpty();
        HandSheet wild = HandSheet.EMPTY.with(BEFORE.pixel(0), "17").with(BEFORE.pixel(1),
                "200").with(BEFORE.pixel(5), "3");
        assertThat(find(wild, LINE, BEFORE)).isEmpty();
    }

    /** A clean sheet never has a slip, whatever the step. */
    @Property(tries = 200)
    void aCleanSheetHasNoSlip(@ForAll long seed) {
        java.util.Random random = new java.util.Random(seed);
        Image before = StepArbitraries.image(random);
        Step step = StepArbitraries.step(random, before);
        Operation operation = step.bind(before);
        HandSheet sheet = HandSheet.EMPTY;
        Image after = operation.result(pixeron.step.Progress.NONE);
        for (int n = 0; n < after.count(); n++) {
            String text = Decimals.exact(operation.value(after.pixel(n)));
            // Fractions of more digits than are read, as of high powers, nobody writes.
            Assume.that(text.length() <= Decimals.MAXIMUM_LENGTH);
            sheet = sheet.with(after.pixel(n), text);
        }
        // A value beyond the end of a result that is smaller than the image counts for nothing.
        Check check = Check.of(sheet.with(new pixeron.image.Pixel(Math.max(before.rows(), after.rows()) + 1, 0), "1"), operation);
        assertThat(check.agree()).isEqualTo(after.count());
        assertThat(SlipFinder.find(check, step.bind(before))).isEqualTo(Findings.NONE);
    }
}
