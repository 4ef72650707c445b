package pixeron.step.lowrank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.offset;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CancellationException;
import java.util.stream.Collectors;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.TableCheck;
import pixeron.format.CellTable;
import pixeron.image.Comparison;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Rows;
import pixeron.make.Makers;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.StepArbitraries;
import pixeron.step.catalog.StepLine;
import pixeron.working.Line;
import pixeron.working.Table;

/** Sums of few patterns, against numbers calculated apart from the program and against what must hold for any image. */
class LowRankTest {

    private static final Image SORT = Image.of(7, new int[][] {{0, 1, 2, 3}, {4, 5, 6, 7}, {7, 6, 5, 4}});
    private static final Image NOISY = Image.of(255, new int[][] {{106, 152, 249, 131, 184, 200, 0, 21}, {253, 147, 202, 107, 249, 169, 138, 149},
        {119, 166, 224, 148, 172, 93, 167, 142}, {248, 26, 81, 218, 150, 66, 2, 191}, {60, 129, 179, 90, 69, 104, 110, 97},
        {157, 106, 152, 251, 62, 7, 248, 171}, {33, 123, 79, 176, 37, 20, 94, 49}, {149, 127, 206, 244, 28, 119, 54, 0}});

    private static Operation bound(String line, Image before) {
        return StepLine.parse(line).bind(before);
    }

    private static String firstRow(String line) {
        return Rows.of(bound(line, NOISY).result(Progress.NONE)).split(" \\| ")[0];
    }

    /** σ of the first: 15.849, 3.848, 0; of the second 1072, 306, 264, 220, 90 …: shares of Σσ 0.517, 0.664, 0.792, 0.898, of Σσ² 0.835, 0.904. */
    @ParameterizedTest
    @CsvSource({"low-rank keep=1, 150 123 177 168 129 102 106 108", "low-rank keep=2, 136 150 236 90 193 201 16 40",
        "low-rank keep=4, 126 158 248 120 168 205 5 15", "low-rank energy=60, 136 150 236 90 193 201 16 40",
        "low-rank energy=85 measure=squares, 136 150 236 90 193 201 16 40", "low-rank energy=89, 126 158 248 120 168 205 5 15",
        "low-rank keep=8, 106 152 249 131 184 200 0 21", "low-rank energy=100, 106 152 249 131 184 200 0 21"})
    void theFirstPatternsAreKept(String line, String expected) {
        assertThat(firstRow(line)).isEqualTo(expected);
    }

    @Test
    void aSmallOneByItsProducts() {
        assertThat(Rows.of(bound("low-rank keep=1", SORT).result(Progress.NONE))).isEqualTo("1 2 2 2 | 5 5 6 6 | 5 5 6 6");
        Operation one = bound("low-rank keep=1 rounding=none", SORT);
        assertThat(one.value(new Pixel(0, 0)).asDouble()).isCloseTo(1.4721992414, offset(1e-9));
        assertThat(one.value(new Pixel(2, 3)).asDouble()).isCloseTo(5.6720371883, offset(1e-9));
        // Two of them are all of it: the third value is 0.
        assertThat(bound("low-rank keep=2 rounding=none overflow=keep", SORT).result(Progress.NONE)).isEqualTo(SORT);
        assertThat(one.explain(new Pixel(0, 0)).lines()).anyMatch(line -> line.text().startsWith("k = 1   of 3 values, 2 of them above 0"))
                .anyMatch(line -> line.label().equals("value 1") && line.text().startsWith("15.8489"));
        Table table = bound("low-rank keep=1", SORT).tables().get(0);
        assertThat(table.value(1, "sigma").orElseThrow().asDouble()).isCloseTo(3.8483081796, offset(1e-9));
        assertThat(table.value(0, "running").orElseThrow().asDouble()).isCloseTo(0.80462762, offset(1e-8));
        assertThat(table.value(0, "running-squares").orElseThrow().asDouble()).isCloseTo(0.94432528, offset(1e-8));
        assertThat(table.value(1, "numbers").orElseThrow()).hasToString("16");
        assertThat(table.value(1, "ratio").orElseThrow()).hasToString("4/3");
    }

    /** At once as explained; all ranks give the image; σ² are the sums of squares of what AᵀA stretches: its trace, and their product with it. */
    @Property(tries = 100)
    void whatHoldsForAnyImage(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = StepArbitraries.image(random);
        int most = Math.min(before.rows(), before.columns());
        Operation operation = bound("low-rank keep=" + (1 + random.nextInt(most)) + (random.nextBoolean() ? " rounding=none overflow=keep" : ""), before);
        Image result = operation.result(Progress.NONE);
        for (int n = 0; n < result.count(); n++) {
            assertThat(result.asDouble(n)).isEqualTo(operation.value(result.pixel(n)).asDouble()).isEqualTo(operation.explain(result.pixel(n)).result().asDouble());
        }
        Image all = bound("low-rank keep=" + most + " rounding=none overflow=keep", before).result(Progress.NONE);
        double squares = 0;
        for (int n = 0; n < all.count(); n++) {
            assertThat(all.asDouble(n)).isCloseTo(before.asDouble(n), offset(1e-9 * Math.max(255, Math.abs(before.asDouble(n)))));
            squares += before.asDouble(n) * before.asDouble(n);
        }
        SingularValues values = SingularValues.of(before);
        double sum = 0;
        for (int m = 0; m < values.count(); m++) {
            sum += values.sigma(m) * values.sigma(m);
            assertThat(m == 0 || values.sigma(m) <= values.sigma(m - 1)).isTrue();
            for (int other = 0; other < values.rank() && m < values.rank(); other++) {
                double product = 0;
                for (int i = 0; i < before.rows(); i++) {
                    product += values.u(m, i) * values.u(other, i);
                }
                assertThat(product).isCloseTo(m == other ? 1 : 0, offset(1e-9));
            }
        }
        assertThat(sum).isCloseTo(squares, offset(1e-9 * Math.max(1, squares)));
    }

    /** Calculated apart: 15.844 and 15.849 …, then 3.848; what is left after two values is nothing. */
    @Test
    void theRoundsLeadToTheFirstValues() {
        Table power = bound("low-rank keep=1", SORT).tables().get(1);
        assertThat(power.name()).isEqualTo("power");
        assertThat(power.rows()).hasSize(5);
        assertThat(power.value(0, "sigma").orElseThrow().asDouble()).isCloseTo(15.84456, offset(1e-6));
        assertThat(power.value(0, "change")).isEmpty();
        assertThat(power.value(1, "change").orElseThrow().asDouble()).isCloseTo(0.004415895, offset(1e-8));
        int last = power.rows().size() - 1;
        assertThat(power.value(last, "value").orElseThrow()).hasToString("2");
        assertThat(power.value(last, "sigma").orElseThrow().asDouble()).isCloseTo(3.8483081796, offset(1e-6));
        // Two columns say together which row it is.
        assertThat(power.rowName(1)).isEqualTo("value = 1, round = 2");
        HandTable hand = HandTable.of(CellTable.parse("value,round,sigma\n1,2,15.85\n2,1,3.5\n"), power);
        TableCheck check = TableCheck.of(hand, power);
        assertThat(check.cells()).extracting(cell -> cell.row() + " " + cell.isWrong()).containsExactlyInAnyOrder("1 false", power.row("2 1") + " true");
        assertThatThrownBy(() -> HandTable.of(CellTable.parse("value,sigma\n1,2\n"), power)).hasMessageContaining("value and round");
        assertThatThrownBy(() -> HandTable.of(CellTable.parse("value,round,sigma\n3,1,2\n"), power)).hasMessageContaining("no row with this value and round");
    }

    /** For a vector v of the table AᵀA·v = σ²·v, calculated with the samples alone. */
    @Example
    void valuesAreRootsOfWhatTheMatrixStretches() {
        SingularValues values = SingularValues.of(NOISY);
        for (int m = 0; m < values.count(); m++) {
            double[] once = new double[8];
            for (int i = 0; i < 8; i++) {
                for (int j = 0; j < 8; j++) {
                    once[i] += NOISY.level(8 * i + j) * values.v(m, j);
                }
            }
            for (int j = 0; j < 8; j++) {
                double twice = 0;
                for (int i = 0; i < 8; i++) {
                    twice += NOISY.level(8 * i + j) * once[i];
                }
                assertThat(twice).isCloseTo(values.sigma(m) * values.sigma(m) * values.v(m, j), offset(1e-6));
            }
        }
    }

    /** What is omitted makes the error: the mean of its squares, for every k, is that of the result without rounding. */
    @Test
    void errorsAreThoseOfTheResults() {
        Operation operation = bound("low-rank keep=3 rounding=none overflow=keep", NOISY);
        List<Value> errors = operation.choice(operation.tables().get(0)).orElseThrow().errors();
        for (int k = 1; k <= 8; k++) {
            Image kept = bound("low-rank keep=" + k + " rounding=none overflow=keep", NOISY).result(Progress.NONE);
            assertThat(errors.get(k - 1).asDouble()).isCloseTo(Comparison.of(NOISY, kept).mse().asDouble(), offset(1e-6));
        }
        assertThat(errors.get(7).signum()).isZero();
    }

    /** v = (1, 2, 3, 4) ÷ √30 to begin with. */
    @Test
    void aRoundIsToldFromVectorToLength() {
        Operation operation = bound("low-rank keep=1", SORT);
        Table power = operation.tables().get(1);
        List<String> lines = power.explain(0, "sigma").stream().map(Line::text).toList();
        assertThat(lines.get(0)).startsWith("v = (0.1826, 0.3651, 0.5477, 0.7303)");
        assertThat(lines.get(1)).isEqualTo("AᵀA·v = " + stretched());
        assertThat(lines.get(5)).startsWith("σ = |A·v| = 15.84");
        Image left = operation.sheet(operation.sheetNames().get(0), Progress.NONE);
        Image first = bound("low-rank keep=1 rounding=none overflow=keep", SORT).result(Progress.NONE);
        for (int n = 0; n < SORT.count(); n++) {
            assertThat(left.asDouble(n) + first.asDouble(n)).isCloseTo(SORT.level(n), offset(1e-9));
        }
    }

    private static String stretched() {
        double[] v = {1 / Math.sqrt(30), 2 / Math.sqrt(30), 3 / Math.sqrt(30), 4 / Math.sqrt(30)};
        double[] made = new double[4];
        for (int i = 0; i < 3; i++) {
            double w = 0;
            for (int j = 0; j < 4; j++) {
                w += SORT.level(4 * i + j) * v[j];
            }
            for (int j = 0; j < 4; j++) {
                made[j] += SORT.level(4 * i + j) * w;
            }
        }
        return Arrays.stream(made).mapToObj(entry -> Decimals.approximate(Approximate.from(entry))).collect(Collectors.joining(", ", "(", ")"));
    }

    /** Nobody who gives up waits on; what was abandoned can be asked for again. */
    @Test
    void aLongDecompositionIsGivenUp() {
        Image large = Image.ofLevels(200, 200, 255, n -> n * 31 % 256);
        Operation operation = bound("low-rank keep=3", large);
        assertThatThrownBy(() -> operation.result(done -> false)).isInstanceOf(CancellationException.class);
        assertThat(operation.result(Progress.NONE).rows()).isEqualTo(200);
        assertThat(operation.step().type().patience(new Frame(2000, 1500, 255))).get().asString().contains("2000 × 1500", "minutes");
        assertThat(operation.step().type().patience(large.frame())).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"low-rank keep=3, low-rank keep=4, one-value-more", "low-rank keep=3, low-rank keep=2, one-value-more",
        "low-rank energy=75, low-rank energy=75 measure=squares, other-energy", "low-rank energy=90 measure=squares, low-rank energy=90, other-energy",
        "low-rank keep=2, low-rank keep=2 rounding=truncate, rounded-down"})
    void slipsOfPatterns(String right, String done, String id) {
        assertThat(found(bound(right, NOISY), bound(done, NOISY).result(Progress.NONE))).isEqualTo(id);
    }

    /** u₁ and v₁ alone: all below ½ in size, so most of what is written is 0. */
    @Test
    void theValueItselfForgotten() {
        Operation right = bound("low-rank keep=1 rounding=none", SORT);
        SingularValues values = SingularValues.of(SORT);
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < SORT.count(); n++) {
            Pixel pixel = SORT.pixel(n);
            sheet = sheet.with(pixel, Double.toString(values.u(0, pixel.row()) * values.v(0, pixel.column())));
        }
        assertThat(SlipFinder.find(Check.of(sheet, right), right).slips().get(0).id()).isEqualTo("sigma-forgotten");
    }

    private static String found(Operation operation, Image written) {
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < written.count(); n++) {
            sheet = sheet.with(written.pixel(n), written.value(n).toString());
        }
        return SlipFinder.find(Check.of(sheet, operation), operation).slips().get(0).id();
    }

    /** σ of the 3 × 4 ramp are 15.849, 3.848, 0: without the second 3.848² ÷ 12 = 1.234 is left, and 8 numbers are stored for each pattern. */
    @Test
    void everyRankHasAnErrorAndAPrice() {
        List<RankError> errors = RankError.of(SORT, Progress.NONE);
        assertThat(errors).extracting(RankError::k).containsExactly(1, 2, 3);
        assertThat(errors.get(0).mse()).isCloseTo(3.848 * 3.848 / 12, offset(1e-3));
        assertThat(errors.get(1).mse()).isCloseTo(0, offset(1e-9));
        assertThat(errors.get(1).numbers()).isEqualTo(16);
        assertThat(errors.get(1).percent()).isCloseTo(400 / 3.0, offset(1e-9));
        // The same error as that of the unrounded approximation itself.
        Image kept = bound("low-rank keep=3 rounding=none overflow=keep", NOISY).result(Progress.NONE);
        assertThat(RankError.of(NOISY, Progress.NONE).get(2).mse()).isCloseTo(Comparison.of(NOISY, kept).mse().asDouble(), offset(1e-6));
        assertThat(bound("low-rank keep=2", SORT).explain(new Pixel(0, 0)).lines().get(1).text()).contains("16 numbers, 133.33").contains("of the image's 12");
    }

    /** Of a chessboard of ones and zeros all but two values are 0; of one with its diagonal alone all are equal. */
    @Test
    void whereOtherResultsAreAsRightThatIsSaid() {
        Image diagonal = Image.ofLevels(4, 4, 9, n -> n % 5 == 0 ? 9 : 0);
        assertThat(bound("low-rank keep=2", diagonal).notes()).containsExactly(
                "Singular values 2 and 3 are equal, so other results are equally correct. Unique results: k = 4.");
        assertThat(bound("low-rank keep=4", diagonal).notes()).isEmpty();
        // Values 2 and 3 are 2060.57 and 2019.31: 100 rounds come to 2060.11 and 2019.72, which is rounding and no other value.
        Image noise = Makers.gray("uniform-noise rows=200 columns=200 low=0 high=255 seed=3");
        assertThat(bound("low-rank keep=2", noise).notes()).isEmpty();
        Image flat = Image.ofLevels(3, 5, 9, n -> 4);
        assertThat(bound("low-rank keep=1", flat).result(Progress.NONE)).isEqualTo(flat);
        assertThat(bound("low-rank keep=2", flat).notes()).isEmpty();
        assertThat(bound("low-rank energy=60", NOISY).notes()).containsExactly("This energy is reached with k = 2 of 8 values.");
        Image dark = Image.ofLevels(3, 5, 9, n -> 0);
        assertThat(bound("low-rank energy=50", dark).result(Progress.NONE)).isEqualTo(dark);
        assertThat(bound("low-rank keep=3", dark).tables().get(0).value(2, "running").orElseThrow().signum()).isZero();
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"low-rank; needs keep", "low-rank keep=1 energy=5; Rank k (keep) and energy cannot be combined", "low-rank keep=0; from 1 to the smaller side",
        "low-rank keep=4; this image has 3 singular values", "low-rank energy=101; a percentage above 0, up to 100", "low-rank energy=0; a percentage",
        "low-rank keep=1 measure=squares; measure applies to energy, not to keep", "low-rank keep=1 area=\"0 0 1 1\"; area"})
    void badNumbersAreSaid(String line, String message) {
        assertThatThrownBy(() -> bound(line, SORT)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
    }
}
