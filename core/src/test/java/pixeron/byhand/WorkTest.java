package pixeron.byhand;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.HandTable.Place;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlip;
import pixeron.byhand.table.TableSlips;
import pixeron.byhand.work.Start;
import pixeron.byhand.work.StepWork;
import pixeron.byhand.work.StepWork.Written;
import pixeron.chain.Chain;
import pixeron.chain.Stage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;
import pixeron.working.Table;

/** Slips in tables, what follows from a table, and where a whole work first goes wrong. */
class WorkTest {

    /** Counts 3, 5, 4, 2, 0, 1, 0, 1 of the levels 0–7; running 3, 8, 12, 14, 14, 15, 15, 16. */
    private static final int[][] SORT = {{0, 0, 0, 1}, {1, 1, 1, 1}, {2, 2, 2, 2}, {3, 3, 5, 7}};
    private static final int[] RUNNING = {3, 8, 12, 14, 14, 15, 15, 16};

    private static HandTable column(String name, String... values) {
        Map<Place, String> cells = new HashMap<>();
        for (int k = 0; k < values.length; k++) {
            cells.put(new Place(String.valueOf(k), name), values[k]);
        }
        return HandTable.EMPTY.with(cells);
    }

    private static HandTable whole(String name, int... values) {
        return column(name, Arrays.stream(values).mapToObj(String::valueOf).toArray(String[]::new));
    }

    private static List<TableSlip> slips(String line, String name, HandTable hand) {
        Image before = Image.of(7, SORT);
        Step step = StepLine.parse(line);
        Table table = step.bind(before).tables().stream().filter(found -> found.name().equals(name)).findFirst().orElseThrow();
        return TableSlips.find(TableCheck.of(hand, table), table, step.bind(before));
    }

    @Test
    void slipsOfTheStepAreFoundInItsTables() {
        // 7 · C ÷ 16: 1.3, 3.5, 5.25, 6.1, 6.1, 6.6, 6.6, 7; dropped instead of rounded.
        assertThat(slips("equalize", "levels", whole("s", 1, 3, 5, 6, 6, 6, 6, 7))).singleElement()
                .extracting(TableSlip::id, TableSlip::column, TableSlip::explains, TableSlip::of)
                .containsExactly("rounded-down", "s", 3, 3);
        // 8 · C ÷ 16 = C ÷ 2 before rounding.
        assertThat(slips("equalize", "levels", column("exact", Arrays.stream(RUNNING).mapToObj(c -> c + "/2")
                .toArray(String[]::new)))).singleElement().extracting(TableSlip::id).isEqualTo("count-for-maximum");
        assertThat(slips("equalize", "levels", whole("running", 3, 5, 4, 2, 0, 1, 0, 1))).singleElement()
                .extracting(TableSlip::id).isEqualTo("share-not-running");
        // 3 ÷ 16 = 0.1875, 5 ÷ 16 = 0.3125, 2 ÷ 16 = 0.125, 1 ÷ 16 = 0.0625 cut off behind two decimals.
        assertThat(slips("equalize", "levels", column("p", "0.18", "0.31", "0.25", "0.12", "0", "0.06", "0", "0.06")))
                .singleElement().extracting(TableSlip::id).isEqualTo("rounded-down");
        assertThat(slips("threshold-otsu", "otsu", shifted())).extracting(TableSlip::id).containsOnly("shifted-by-one");
    }

    /** Pixels up to t: at t = 1 what belongs to t = 0, and so on. */
    private static HandTable shifted() {
        return column("n0", "", "3", "8", "12", "14", "14", "15");
    }

    @Test
    void oneWrongCountIsNamedWithWhatFollows() {
        HandTable hand = column("n", "3", "5", "4", "3", "0", "1", "0", "1")
                .with(Map.of(new Place("3", "running"), "15", new Place("4", "running"), "15"));
        assertThat(slips("equalize", "levels", hand)).singleElement().satisfies(slip -> {
            assertThat(slip.id()).isEqualTo("miscounted");
            assertThat(slip.text()).isEqualTo("At k = 3 you counted 3 pixels; there are 2.");
        });
        assertThat(slips("equalize", "levels", whole("running", 3, 8, 13, 15, 15, 16, 16, 17))).singleElement()
                .extracting(TableSlip::id, TableSlip::text)
                .containsExactly("running-count-slip", "From k = 2 on, the cumulative count is 1 too large.");
    }

    @Test
    void nothingIsSaidOfARightTableNorOfUnrelatedNumbers() {
        assertThat(slips("equalize", "levels", whole("running", RUNNING))).isEmpty();
        assertThat(slips("equalize", "levels", whole("s", 4, 0, 2, 1, 7, 3, 0, 2))).isEmpty();
    }

    private static List<StepWork> work(List<String> lines, Map<Integer, HandSheet> sheets, Map<Integer, HandTable> tables,
            String table) {
        Chain chain = Chain.of(Image.of(7, SORT));
        for (String line : lines) {
            chain = chain.withStep(chain.size(), StepLine.parse(line));
        }
        List<StepWork> works = new ArrayList<>();
        Optional<Written> earlier = Optional.empty();
        for (Stage stage : chain.stages()) {
            Operation operation = stage.operation(Progress.NONE).orElseThrow();
            Written written = new Written(stage.position(), operation,
                    sheets.getOrDefault(stage.position(), HandSheet.EMPTY), tables.containsKey(stage.position())
                            ? Map.of(table, tables.get(stage.position())) : Map.of());
            works.add(StepWork.of(written, earlier));
            earlier = Optional.of(written);
        }
        return works;
    }

    private static HandSheet sheet(int... ofLevel) {
        HandSheet sheet = HandSheet.EMPTY;
        for (int n = 0; n < 16; n++) {
            sheet = sheet.with(new Pixel(n / 4, n % 4), String.valueOf(ofLevel[SORT[n / 4][n % 4]]));
        }
        return sheet;
    }

    @Test
    void aSheetFollowsFromTheTableAndTheNextStepFromTheSheet() {
        // The cumulative count goes wrong at level 1: 7 for 8. New levels 7 · 7 ÷ 16 = 3.06 and the others as they are.
        HandTable table = column("running", "3", "7");
        List<StepWork> works = work(List.of("equalize", "threshold at=3"),
                Map.of(0, sheet(1, 3, 5, 6, 6, 7, 7, 7), 1, sheet(0, 0, 7, 7, 7, 7, 7, 7)), Map.of(0, table), "levels");
        // Five pixels have level 1; right is 4, and 4 > 3.
        assertThat(works.get(0).following().ofTables()).containsOnlyKeys("levels");
        assertThat(works.get(0).following().pixels()).hasSize(5);
        assertThat(works.get(1).following().ofStep()).hasSize(5);
        assertThat(works.get(0).findings(Progress.NONE).slips()).isEmpty();
        Start start = Start.of(works).orElseThrow();
        assertThat(start.sentence(Pixel::toString)).isEqualTo(
                "First mistake: step 1, Levels table, k = 1, cumulative C. You wrote 7; the correct value is 8. 10 later differences follow.");
    }

    @Test
    void itCanStartInACellOfALaterStep() {
        List<StepWork> works = work(List.of("equalize", "threshold at=3"),
                Map.of(0, sheet(1, 4, 5, 6, 6, 7, 7, 7), 1, sheet(0, 7, 7, 7, 7, 7, 7, 0)), Map.of(), "");
        Start start = Start.of(works).orElseThrow();
        assertThat(start.position()).isEqualTo(1);
        assertThat(start.sentence(Pixel::toString)).isEqualTo("First mistake: step 2, row 3, column 3. You wrote 0; the correct value is 7.");
        assertThat(Start.of(work(List.of("equalize"), Map.of(0, sheet(1, 4, 5, 6, 6, 7, 7, 7)), Map.of(), ""))).isEmpty();
    }

    @Test
    void whatIsGivenByConstantsAndLimitsFollows() {
        // Mean of the sort is 29 ÷ 16; the user took t = 1 for a share of 75 %, where C(2) = 12 is just enough: 2.
        Map<Place, String> one = Map.of(new Place("1", "t"), "1");
        List<StepWork> limit = work(List.of("threshold-percentile percent=75"), Map.of(0, sheet(0, 0, 7, 7, 7, 7, 7, 7)),
                Map.of(0, HandTable.EMPTY.with(one)), "constants");
        assertThat(limit.get(0).following().ofTables()).containsOnlyKeys("constants");
        assertThat(limit.get(0).following().pixels()).hasSize(4);
        // low = 1 instead of the smallest level 0: (r − 1) · 7 ÷ 6, clipped.
        List<StepWork> low = work(List.of("stretch"), Map.of(0, sheet(0, 0, 1, 2, 4, 5, 6, 7)), Map.of(0,
                HandTable.EMPTY.with(Map.of(new Place("1", "low"), "1"))), "constants");
        assertThat(low.get(0).following().pixels()).hasSize(low.get(0).check().differing().size()).isNotEmpty();
    }
}
