package pixeron.byhand.parts;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.HandValue;
import pixeron.byhand.Verdict;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.HandTable.Place;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlip;
import pixeron.byhand.table.TableSlips;
import pixeron.byhand.work.StepWork;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.step.Operation;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;
import pixeron.step.table.PixelTable;
import pixeron.working.Table;

/** Expressions held against the right one, and the numbers on the way to one pixel. */
class WrongPartTest {

    /** The window around row 1, column 1 has the sum 642; 642 ÷ 9 = 71 + 1/3. */
    private static final Image PROOF = Image.of(255, new int[][] {{12, 200, 34}, {5, 61, 140}, {99, 18, 73}});
    private static final Pixel MIDDLE = new Pixel(1, 1);

    private static Optional<String> said(String line, String written) {
        Step step = StepLine.parse(line);
        return WrongPart.of(HandValue.parse(written), step.bind(PROOF), MIDDLE);
    }

    @Test
    void aTermThatIsMissingOrThereTwiceIsNamed() {
        assertThat(said("box size=3", "(12+200+34+5+61+140+99+18)/9")).contains("The term 73 is missing.");
        assertThat(said("box size=3", "(12+200+34+5+61+140+99+18+73+18)/9")).contains("The term 18 appears once too often.");
        assertThat(said("box size=3", "(12+200+34+5+62+140+99+18+73)/9")).contains("62 is written instead of the term 61.");
        assertThat(said("box size=3", "(12+200+34+5+61+140+99+18+73+4)/9")).contains("The term 4 does not belong here.");
        assertThat(said("box size=3", "12/9+200/9+34/9+5/9+61/9+140/9+99/9+18/9")).contains("The term 73/9 is missing.");
    }

    @Test
    void aWrongDivisorIsNamed() {
        assertThat(said("box size=3", "(12+200+34+5+61+140+99+18+73)/8")).contains("The divisor is 8; it should be 9.");
        assertThat(said("box size=3", "(12+200+34+5+61+140+99+18)/8"))
                .contains("The term 73 is missing, and the divisor is 8; it should be 9.");
        // 1 2 1 | 2 4 2 | 1 2 1: the middle has weight 4, in the corner 12 has 1.
        assertThat(said("binomial size=3", "(12+2×200+34+2×5+2×61+2×140+99+2×18+73)/16"))
                .contains("122 is written instead of the term 244.");
        assertThat(said("sharpen", "5×61 − 200 − 5 − 140")).contains("The term \u221218 is missing.");
    }

    @Test
    void factorsAreNamedToo() {
        // 1.5 · 61 − 20 and 255 · C ÷ N: 61 is the fifth of nine.
        assertThat(said("linear gain=1.5 bias=-20", "1.5×61 + 20")).contains("20 is written instead of the term \u221220.");
        assertThat(said("equalize", "255×5÷8")).contains("8 is written instead of the divisor 9.");
        assertThat(said("equalize", "256×5÷9")).contains("256 is written instead of the factor 255.");
    }

    @Test
    void nothingIsWrongWithWhatIsRight() {
        assertThat(said("box size=3", "(73+18+99+140+61+5+34+200+12)/9")).isEmpty();
        assertThat(said("linear gain=1.5 bias=-20", "1.5×61 − 20")).isEmpty();
        assertThat(said("equalize", "5×255/9")).isEmpty();
    }

    @Test
    void nothingIsSaidOfNumbersNorWhereMuchDiffers() {
        assertThat(said("box size=3", "71")).isEmpty();
        assertThat(said("box size=3", "(1+2+3+4)/4")).isEmpty();
        assertThat(said("box size=3", "sqrt(2)+")).isEmpty();
        assertThat(said("median size=3", "(61+5)/2")).isEmpty();
    }

    private static HandTable numbers(String sum, String quotient, String rounded) {
        return HandTable.EMPTY.with(Map.of(new Place("1", "sum"), sum, new Place("1", "quotient"), quotient,
                new Place("1", "rounded"), rounded));
    }

    @Test
    void numbersOnTheWayAreATable() {
        Step step = StepLine.parse("box size=3");
        Operation operation = step.bind(PROOF);
        Table table = PixelTable.of(operation, MIDDLE);
        assertThat(table.columns()).containsExactly("sum", "quotient", "rounded");
        assertThat(table.rows().get(0)).containsExactly(Rational.of(642), Rational.of(642, 9), Rational.of(71));
        // A sum that is 9 too large, and what follows from it: 651 ÷ 9 = 72.33.
        TableCheck check = TableCheck.of(numbers("651", "72.33", "72"), table);
        assertThat(check.cells()).extracting(TableCheck.Cell::state).containsExactly(Verdict.DIFFERS, Verdict.FOLLOWS, Verdict.FOLLOWS);
        // The right quotient, rounded up.
        TableCheck up = TableCheck.of(numbers("642", "71.33", "72"), table);
        assertThat(TableSlips.find(up, table, step.bind(PROOF))).extracting(TableSlip::id, TableSlip::text)
                .containsExactly(org.assertj.core.groups.Tuple.tuple("rounded-up", "214/3 was rounded up."));
        assertThat(PixelTable.of(StepLine.parse("log rounding=none").bind(PROOF), MIDDLE)
                .columns()).containsExactly("exact");
    }

    @Test
    void theCellOfTheSheetFollowsFromTheNumbersOnTheWay() {
        Step step = StepLine.parse("box size=3");
        HandSheet sheet = HandSheet.EMPTY.with(MIDDLE, "72");
        StepWork work = StepWork.of(new StepWork.Written(0, step.bind(PROOF), sheet,
                Map.of(PixelTable.name(MIDDLE), numbers("651", "", ""))), Optional.empty());
        assertThat(work.tables()).containsOnlyKeys("pixel 1,1");
        assertThat(work.following().ofTables()).containsOnlyKeys("pixel 1,1");
        assertThat(Check.of(sheet, step.bind(PROOF)).differing()).hasSize(1);
    }
}
