package pixeron.byhand;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import pixeron.PixeronException;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.KnownSlips;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.HandTable.Place;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlips;
import pixeron.byhand.work.Start;
import pixeron.byhand.work.StepWork;
import pixeron.byhand.work.StepWork.Written;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.step.Operation;
import pixeron.step.Step;
import pixeron.step.StepArbitraries;
import pixeron.step.Way;
import pixeron.step.table.PixelTable;
import pixeron.working.Table;

/** What holds for every step of the catalog on random images. */
class ByHandLawsTest {

    private final class Case {
        private final Random random;
        private final Image before;
        private final Step step;
        private final Operation operation;

        Case(long seed) {
            random = new Random(seed);
            before = StepArbitraries.image(random);
            step = StepArbitraries.step(random, before);
            operation = step.bind(before);
        }

        /** Every other cell as a user with a slip would have written it. */
        HandSheet half(Way way) {
            HandSheet sheet = HandSheet.EMPTY;
            for (int n = 0; n < operation.frame().count(); n++) {
                Pixel pixel = operation.frame().pixel(n);
                if (random.nextBoolean()) {
                    try {
                        String text = Decimals.exact(way.value().apply(pixel));
                        sheet = isWritten(text) ? sheet.with(pixel, text) : sheet;
                    } catch (PixeronException withoutValue) {
                        // Nobody can write what the slip does not give.
                    }
                }
            }
            return sheet;
        }

        HandSheet right() {
            return half(Way.of("right", operation));
        }
    }

    /** Fractions of more digits than are read, as of the power of 212, nobody writes. */
    private static boolean isWritten(String text) {
        return text.length() <= Decimals.MAXIMUM_LENGTH;
    }

    private static HandTable filled(Table table) {
        Map<Place, String> cells = new HashMap<>();
        for (int row = 0; row < table.rows().size(); row++) {
            for (String column : table.columns()) {
                if (table.isFillable(column)) {
                    Place place = new Place(table.key(row), column);
                    table.value(row, column).map(Decimals::exact).filter(ByHandLawsTest::isWritten).ifPresent(text -> cells.put(place, text));
                }
            }
        }
        return HandTable.EMPTY.with(cells);
    }

    /** What is right agrees, and neither a slip nor a start is claimed of it: in tables, on the way to a pixel, in the sheet. */
    @Property(tries = 50)
    void nothingIsSaidOfWhatIsRight(@ForAll long seed) {
        Case one = new Case(seed);
        Map<String, HandTable> hands = new HashMap<>();
        for (Table table : one.operation.tables()) {
            TableCheck check = TableCheck.of(filled(table), table);
            assertThat(check.cells().stream().filter(cell -> cell.state() != Verdict.AGREES).limit(3)).as(one.step.line() + " on " + one.before).isEmpty();
            assertThat(TableSlips.find(check, table, one.operation)).isEmpty();
            hands.put(table.name(), filled(table));
        }
        Pixel pixel = one.before.pixel(one.random.nextInt(one.before.count()));
        PixelTable.named(one.operation, PixelTable.name(pixel)).ifPresent(table ->
                hands.put(table.name(), filled(table)));
        Written written = new Written(0, one.operation, one.right(), hands);
        assertThat(Start.of(List.of(StepWork.of(written, Optional.empty())))).isEmpty();
    }

    /** What is claimed explains its cells, contradicts none that agrees, and the cell that would tell is blank and tells. */
    @Property(tries = 50)
    void whatIsClaimedHolds(@ForAll long seed) {
        Case one = new Case(seed);
        List<Way> ways = KnownSlips.of(one.step.type()).stream().flatMap(slip -> slip.ways(one.operation).stream()).toList();
        if (ways.isEmpty()) {
            return;
        }
        HandSheet sheet = one.half(ways.get(one.random.nextInt(ways.size())));
        Check check = Check.of(sheet, one.operation);
        Findings found = SlipFinder.find(check, one.operation);
        int explained = found.slips().stream().mapToInt(Explanation::explains).sum();
        assertThat(explained + found.wrong().size()).isEqualTo(check.differing().size());
        for (Explanation slip : found.slips()) {
            assertThat(slip.pixels()).hasSize(slip.explains()).doesNotHaveDuplicates();
            slip.done().ifPresent(done -> slip.pixels().forEach(pixel ->
                    assertThat(sheet.cells().get(pixel).agreesWith(done.value(pixel))).isTrue()));
            slip.certainty().telling().ifPresent(telling -> {
                assertThat(sheet.cells()).doesNotContainKey(telling.pixel());
                assertThat(telling.here().compareValue(telling.there())).isNotZero();
            });
        }
    }

    /** With a cell missing a step has the value that its working ends with, or says why it has none. */
    @Property(tries = 100)
    void aMissingCellGivesWhatItsWorkingSays(@ForAll long seed) {
        Case one = new Case(seed);
        Pixel pixel = one.before.pixel(one.random.nextInt(one.before.count()));
        int cells = one.operation.contains(pixel) ? one.operation.sources(pixel).size() : 0;
        for (int n = 0; n < cells; n++) {
            one.operation.missing(n).ifPresent(without -> {
                try {
                    assertThat(without.value(pixel)).isEqualTo(without.explain(pixel).result());
                } catch (PixeronException said) {
                    assertThat(said.getMessage()).isNotBlank();
                }
            });
        }
    }

    /** A sheet turned twice is the sheet. */
    @Property(tries = 50)
    void turnedTwiceIsAsItWas(@ForAll long seed) {
        HandSheet sheet = new Case(seed).right();
        assertThat(sheet.swapped().swapped()).isEqualTo(sheet);
    }
}
