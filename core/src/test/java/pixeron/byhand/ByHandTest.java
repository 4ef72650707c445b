package pixeron.byhand;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.format.CellTable;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Operation;
import pixeron.step.catalog.StepLine;

class ByHandTest {

    private static Operation operation(String line, int maximum, int[]... levels) {
        return StepLine.parse(line).bind(Image.of(maximum, levels));
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"61;61;true", "153.75;615/4;true", "153.8;615/4;true", "153.7;615/4;false",
        "154;615/4;true", "153;615/4;false", "154.0;154;true", "487/9;487/9;true", "54.11;487/9;true",
                "54.111;487/9;true", "54.12;487/9;false",
        "(52+55+61)/3;56;true", "7×54÷64;189/32;true", "5.91;189/32;true", "5.9;189/32;true", "2^3;8;true",
                "sqrt(2)^2;2;true",
        "-0.5;-1/2;true", "\u22121;-1/2;true", "0;-1/2;false", "153,75;615/4;true", "0.333333333333333;1/3;true", "0.333333333333334;1/3;true", "0.33333333333334;1/3;false", "4.99999999999999;5;true", "0.333333334333333;1/3;false",
        "0.3333 ±0.1%;1/3;true", "0.334 ±0.1%;1/3;false", "1/3 ± 5%;0.34;true", "  7 ;7;true", "abc;7;false",
                "1/0;7;false", "7.;7;true", "1,234;617/500;true", "1,234;1234;false", "1,234.5;2469/2;true", "1.234,5;2469/2;true",
        "1,234,567;1234567;true", "1.234.567;1234567;true", "-1.234.567,5;-2469135/2;true", "12,34.5;1234;false", "1.23,4;123;false"})
    void agreementFollowsWhatWasWritten(String written, String result, boolean agrees) {
        assertThat(HandValue.parse(written).agreesWith(Decimals.parse(result))).isEqualTo(agrees);
    }

    @Test
    void anExpressionAgreesWithADoubleToNineDigits() {
        assertThat(HandValue.parse("sqrt(2)").agreesWith(Approximate.from(Math.sqrt(2) * (1 + 1e-12)))).isTrue();
        assertThat(HandValue.parse("sqrt(2)").agreesWith(Approximate.from(1.41421))).isFalse();
        assertThat(HandValue.parse("1.41421").agreesWith(Approximate.from(Math.sqrt(2)))).isTrue();
    }

    @Property
    void everyRoundedResultAgreesAtEveryNumberOfDecimals(@ForAll int a, @ForAll @IntRange(min = 1, max = 500) int b,
            @ForAll @IntRange(min = 0, max = 8) int decimals) {
        Rational exact = Rational.of(a, b);
        String written = new java.math.BigDecimal(a).divide(new java.math.BigDecimal(b), decimals,
                java.math.RoundingMode.HALF_UP)
                .toPlainString();
        assertThat(HandValue.parse(written).agreesWith(exact)).isTrue();
    }

    @Test
    void statesOfCells() {
        // 3.75 · 137 − 360 = 153.75 → 154; 3.75 · 174 − 360 = 292.5 → 293 → 255
        Operation operation = operation("linear gain=3.75 bias=-360", 255, new int[] {137, 137, 137, 137, 174, 174});
        HandSheet sheet = HandSheet.EMPTY;
        String[] written = {"154", "153.75", "3.75*137-360", "what", "292.5", "293"};
        for (int n = 0; n < written.length; n++) {
            sheet = sheet.with(new Pixel(0, n), written[n]);
        }
        Check check = Check.of(sheet, operation);
        assertThat(check.cells()).extracting(cell -> cell.state().word()).containsExactly(
                "agrees", "not-rounded", "not-rounded", "not-understood", "not-rounded", "differs");
        assertThat(check.filled()).isEqualTo(6);
        assertThat(check.agree()).isEqualTo(1);
        assertThat(check.differing()).hasSize(4);
        assertThat(check.first().orElseThrow().pixel()).isEqualTo(new Pixel(0, 1));
        assertThat(check.cells().get(5).difference()).contains(Rational.of(38));
        assertThat(check.nextAfter(new Pixel(0, 1)).orElseThrow().pixel().column()).isEqualTo(2);
        assertThat(check.nextAfter(new Pixel(0, 5)).orElseThrow().pixel().column()).isEqualTo(1);
    }

    @Test
    void aToleranceTakesThePlaceOfTheDecimals() {
        Operation operation = operation("invert", 255, new int[] {100, 100});
        HandSheet sheet = HandSheet.EMPTY.with(new Pixel(0, 0), "157").with(new Pixel(0, 1), "157.1")
                .withTolerance(Optional.of(Rational.of(2)));
        assertThat(Check.of(sheet, operation).agree()).isEqualTo(1);
        assertThatThrownBy(() -> sheet.withTolerance(Optional.of(Rational.of(-1))))
                .isInstanceOf(PixeronException.class);
    }

    @Test
    void blocksArePastedAndCleared() {
        Frame grid = new Frame(3, 4, 255);
        HandSheet sheet = HandSheet.EMPTY.withBlock(new Pixel(1, 1), CellTable.parse("1\t\t3\n\t5\t6\n"), grid);
        assertThat(sheet.cells().keySet()).containsExactly(
                new Pixel(1, 1), new Pixel(1, 3), new Pixel(2, 2), new Pixel(2, 3));
        assertThat(sheet.with(new Pixel(1, 1), " ").cells()).hasSize(3);
        assertThatThrownBy(() -> HandSheet.EMPTY.withBlock(new Pixel(2, 1), CellTable.parse("1\n2"), grid))
                .hasMessageContaining("does not fit");
    }

    @Test
    void aTableMustHaveTheShapeOfTheResult() {
        Frame grid = new Frame(2, 3, 255);
        assertThat(HandSheet.of(CellTable.parse("1,2,3\n,,\n"), grid).cells()).hasSize(3);
        assertThat(HandSheet.of(CellTable.parse("\n1,,3\n\n\n"), grid).cells()).hasSize(2);
        assertThatThrownBy(() -> HandSheet.of(CellTable.parse("1,2,3"),
                grid)).hasMessageContaining("The table has 1 rows, but the result has 2.");
        assertThatThrownBy(() -> HandSheet.of(CellTable.parse("1,2,3\n1,2\n"), grid)).hasMessageContaining("Row 1");
        assertThatThrownBy(() -> HandSheet.of(CellTable.parse("1,2,3\n1,2,3\n1,2,3"),
                grid)).hasMessageContaining("3 rows");
    }

    /** A colon divides, a comma between digits is a decimal one where no function has its numbers parted by it. */
    @Test
    void numbersAreReadAsPeopleWriteThem() {
        assertThat(HandValue.parse("487:9").value()).contains(Rational.of(487, 9));
        assertThat(HandValue.parse("3,5 × 2").value()).contains(Rational.of(7));
        assertThat(HandValue.parse("7·54÷64").value()).contains(Rational.of(189, 32));
        assertThat(HandValue.parse("153,75").decimals()).isEqualTo(2);
        assertThat(HandValue.parse("min(3,5)").value()).as("the smaller of two").contains(Rational.of(3));
        assertThat(HandValue.parse("1,2,3").value()).isEmpty();
    }
}
