package pixeron.byhand.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.PixeronException;
import pixeron.byhand.Verdict;
import pixeron.format.CellTable;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.StepArbitraries;
import pixeron.step.catalog.StepLine;
import pixeron.working.Line;
import pixeron.working.Table;

/** Levels 0 to 3, four of each of 0 and 1, two of 2, six of 3: cumulative counts 4, 8, 10, 16. */
class TableCheckTest {

    private static final Image SORT = Image.of(3, new int[][] {{0, 0, 0, 0, 1, 1, 1, 1}, {2, 2, 3, 3, 3, 3, 3, 3}});

    private static Table table(String line, String name) {
        return StepLine.parse(line).bind(SORT).tables().stream().filter(table -> table.name().equals(name)).findFirst()
                .orElseThrow();
    }

    private static String states(Table table, String written) {
        return TableCheck.of(HandTable.of(CellTable.parse(written.replace('|', '\n')), table), table).cells().stream()
                .map(cell -> cell.state().word()).collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "k,running|0,4|1,8|2,10|3,16; agrees agrees agrees agrees",
        // 4 + 4 is 9 by hand; the rows below add right to what is above them
        "k,running|0,4|1,9|2,11|3,17; agrees differs follows follows",
        // two slips: 9 for 8, then 9 + 2 = 12 for 11
        "k,running|0,4|1,9|2,12|3,18; agrees differs differs follows",
        // back on the right way
        "k,running|0,4|1,9|2,10|3,16; agrees differs agrees agrees",
        // a count is off, and everything after it is right for that count
        "k,n,p,running,s|1,5,5/16,9,2|2,2,0.13,11,2; differs follows follows agrees agrees agrees follows agrees",
        // the new level follows from a cumulative count that nobody wrote: 3 · 13 ÷ 16 = 2.4 from n(2) = 5
        "k,n,s|2,5,2|3,6,3; differs agrees agrees agrees",
        "k,n|2,x; not-understood",
        // sums below: 4 + 5 + 2 + 6
        "k,n|1,5|Σ,17; differs follows",
        "k,n,p|sum,16,1; agrees agrees",
        "k,n|sum,15; differs"})
    void whatFollowsFromAnEarlierSlipIsNoSlipOfItsOwn(String written, String states) {
        assertThat(states(table("equalize", "levels"), written)).isEqualTo(states);
    }

    @Test
    void aRoundedCellThatAgreesMayBeGoneOnFrom() {
        // 3 · 10 ÷ 16 = 1.875; with P(2) = 0.6 by hand, 0.6 would be 1.8, and both round to 2.
        Table otsu = table("threshold-otsu", "otsu");
        // t = 1: w0 = 1/2, means 1/2 and 11/4, between = 1/4 · (9/4)² = 81/64
        assertThat(otsu.value(1, "between")).contains(Rational.of(81, 64));
        // 0.5 · 0.5 · (0.5 − 2.8)² = 1.3225 from a mean rounded to one decimal
        assertThat(states(otsu, "t,mean1,between|1,2.8,1.3225")).isEqualTo("agrees follows");
        assertThat(states(otsu, "t,w0,w1,between|1,0.4,0.6,1.215")).isEqualTo("differs differs follows");
    }

    @Test
    void constantsAreATableOfOneRow() {
        Table constants = table("stretch low=1 to-high=M", "constants");
        assertThat(states(constants, "low,high|1,3")).isEqualTo("agrees agrees");
        assertThat(states(constants, "low,high|0,3")).isEqualTo("differs agrees");
        assertThat(states(table("log", "constants"), "scale|2.164")).isEqualTo("agrees");
    }

    @ParameterizedTest
    @ValueSource(strings = {"k,running|9,4", "k,running,q|0,4,1", "running|4", "k,running|0", "0,4,1", "k,n|x,1"})
    void aTableOfAnotherShapeIsRefused(String written) {
        assertThatThrownBy(() -> states(table("equalize", "levels"), written)).isInstanceOf(PixeronException.class);
    }

    @Test
    void blocksGoIntoColumnsBesideEachOther() {
        Table levels = table("equalize", "levels");
        HandTable hand = HandTable.EMPTY.withBlock(levels, 2, List.of("n", "running"), CellTable.parse("2\t10\n6\t\n16"));
        assertThat(hand.cell("2", "running").orElseThrow().text()).isEqualTo("10");
        assertThat(hand.cell("sum", "n").orElseThrow().text()).isEqualTo("16");
        assertThat(hand.cell("3", "running")).isEmpty();
        assertThatThrownBy(() -> hand.withBlock(levels, 4, List.of("n"), CellTable.parse("1\n2")))
                .hasMessageContaining("does not fit");
        assertThat(hand.with(Map.of(new HandTable.Place("sum", "n"), " ")).cell("sum", "n")).isEmpty();
    }

    @Test
    void everyCellWithARuleIsWorkedOut() {
        List<String> lines = table("equalize", "levels").explain(2, "running").stream().map(Line::text).toList();
        assertThat(lines).containsExactly("C = C above + n", "  = 8 + 2", "  = 10");
        assertThat(table("equalize", "levels").explain(2, "n")).isEmpty();
    }

    /** Whatever the step and the image: its own tables agree with themselves, and rules give what is there. */
    @Property(tries = 150)
    void rulesGiveWhatTheTableHas(@ForAll long seed) {
        Random random = new Random(seed);
        Image image = StepArbitraries.image(random);
        Step step = StepArbitraries.step(random, image);
        if (image.maximumLevel() > 255) {
            return;
        }
        Operation operation = step.bind(image);
        operation.result(Progress.NONE);
        for (Table table : operation.tables()) {
            Map<HandTable.Place, String> texts = new HashMap<>();
            for (int row = 0; row < table.rows().size(); row++) {
                for (String column : table.columns()) {
                    int at = row;
                    if (table.value(row, column).isEmpty()) {
                        continue;
                    }
                    Value value = table.value(row, column).orElseThrow();
                    texts.put(new HandTable.Place(table.key(row), column), Decimals.exact(value));
                    Table.Rule rule = table.rules().get(column);
                    if (rule != null && value.isExact()) {
                        assertThat(rule.apply(name -> Table.row(name, at) < 0 ? Rational.ZERO
                                : table.value(Table.row(name, at), Table.column(name)).orElseThrow()))
                                .as(step.line() + " " + table.name() + " " + column + " " + row).isEqualTo(value);
                    }
                }
            }
            TableCheck check = TableCheck.of(HandTable.EMPTY.with(texts), table);
            // Nobody writes a fraction of hundreds of digits; it is not understood, and that is all that is said of it.
            assertThat(check.cells()).hasSize(texts.size())
                    .filteredOn(cell -> cell.byHand().text().length() < 30)
                    .allMatch(cell -> cell.state() == Verdict.AGREES);
        }
    }
}
