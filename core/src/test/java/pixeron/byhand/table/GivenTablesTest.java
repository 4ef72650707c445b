package pixeron.byhand.table;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import pixeron.byhand.table.HandTable.Place;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.catalog.StepLine;
import pixeron.step.table.PixelTable;

/** What pixels get when a user goes on from their own tables: calculated here by hand for a row of eight pixels. */
class GivenTablesTest {

    private static final Image ROW = Image.of(7, new int[][] {{0, 1, 1, 2, 3, 5, 5, 7}});

    /** Returns the row of values that follows from a table, with – where the table says nothing. */
    private static String row(String line, String table, Map<Place, String> cells) {
        Operation operation = StepLine.parse(line).bind(ROW);
        Function<Pixel, Optional<Value>> given = GivenTables.of(operation, Map.of(table, HandTable.EMPTY.with(cells))).get(table);
        return given == null ? "nothing" : IntStream.range(0, 8).mapToObj(n -> given.apply(ROW.pixel(n)).map(String::valueOf)
                .orElse("–")).collect(Collectors.joining(" "));
    }

    private static Place only(String column) {
        return new Place("1", column);
    }

    /** With 1 for the smallest: (r − 1) · 7 ÷ 6, so 5 becomes 4.67, and 0 is clipped. */
    @Test
    void constantsOfAStretch() {
        assertThat(row("stretch", "constants", Map.of(only("low"), "1"))).isEqualTo("0 0 0 1 2 5 5 7");
        assertThat(row("stretch", "constants", Map.of(only("toHigh"), "6"))).as("6 ÷ 7 of each level")
                .isEqualTo("0 1 1 2 3 4 4 6");
        assertThat(row("stretch", "constants", Map.of(only("low"), "0"))).as("nothing is wrong").isEqualTo("nothing");
    }

    /** ln(1 + r) times 2 instead of 3.366: ln 2 = 0.69, ln 3 = 1.10, ln 4 = 1.39, ln 6 = 1.79, ln 8 = 2.08. */
    @Test
    void theConstantOfALogarithm() {
        assertThat(row("log", "constants", Map.of(only("scale"), "2"))).isEqualTo("0 1 1 2 3 4 4 4");
    }

    @Test
    void theLimitOfAThreshold() {
        assertThat(row("threshold-percentile percent=50", "constants", Map.of(only("t"), "4"))).isEqualTo("0 0 0 0 0 7 7 7");
    }

    /** Whose largest variance is at t = 1 goes on with r > 1. */
    @Test
    void theVarianceTableGivesTheLimit() {
        assertThat(row("threshold-otsu", "otsu", Map.of(new Place("1", "between"), "99"))).isEqualTo("0 0 0 7 7 7 7 7");
    }

    /** The mean is 3; the last round's next limit is written as 5. */
    @Test
    void theLastRoundGivesTheLimit() {
        Operation rounds = StepLine.parse("threshold-iterative").bind(ROW);
        int last = rounds.tables().stream().filter(table -> table.name().equals("two-means")).findFirst().orElseThrow().rows().size();
        assertThat(row("threshold-iterative", "two-means", Map.of(new Place(String.valueOf(last), "next"), "5")))
                .isEqualTo("0 0 0 0 0 0 0 7");
    }

    /** New levels of one's own: what is written counts for all pixels of the level, and what follows from a wrong count as well. */
    @Test
    void theLevelsTableGivesTheNewLevels() {
        assertThat(row("invert", "levels", Map.of(new Place("5", "s"), "4"))).isEqualTo("7 6 6 5 4 4 4 0");
        // C(1) = 4 in place of 3: 7 · 4 ÷ 8 = 3.5 → 4; then C(2) = 5: 4.375 → 4, C(3) = 6: 5.25 → 5, C(5) = 8: 7, C(7) = 9: 7.875 → 8 → 7.
        assertThat(row("equalize", "levels", Map.of(new Place("1", "running"), "4"))).isEqualTo("1 4 4 4 5 7 7 7");
    }

    @Test
    void theNumbersOnTheWayToAPixelGiveThatPixelOnly() {
        Operation box = StepLine.parse("box size=3").bind(ROW);
        Pixel pixel = new Pixel(0, 4);
        String name = PixelTable.name(pixel);
        Function<Pixel, Optional<Value>> given = GivenTables.of(box, Map.of(name, HandTable.EMPTY.with(Map.of(only("sum"), "18"))))
                .get(name);
        // 2 + 3 + 5 = 10; with 18 the quotient is 2.
        assertThat(given.apply(pixel)).hasValueSatisfying(value -> assertThat(value).hasToString("2"));
        assertThat(given.apply(new Pixel(0, 3))).isEmpty();
    }
}
