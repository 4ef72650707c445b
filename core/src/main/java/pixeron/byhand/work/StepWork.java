package pixeron.byhand.work;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import pixeron.byhand.Check;
import pixeron.byhand.Following;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.table.GivenTables;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlip;
import pixeron.byhand.table.TableSlips;
import pixeron.image.Pixel;
import pixeron.step.Operation;
import pixeron.step.PixelTable;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.working.Table;

/**
 * A person's work on one step.
 *
 * @param position of the step, from 0
 * @param step the step
 * @param operation it, bound to its input
 * @param sheet the person's values for the result
 * @param check what is said of them
 * @param following the differing cells that follow from something earlier
 * @param tables what is said of the person's values in the step's tables, by name, in the order of the tables
 */
public record StepWork(int position, Step step, Operation operation, HandSheet sheet, Check check, Following following,
        Map<String, TableCheck> tables) {

    /**
     * What a person wrote for a step.
     *
     * @param position of the step, from 0
     * @param step the step
     * @param operation it, bound to its input
     * @param sheet values for the result
     * @param tables values in the tables, by name
     */
    public record Written(int position, Step step, Operation operation, HandSheet sheet, Map<String, HandTable> tables) {
    }

    /**
     * @param written what was written for the step
     * @param earlier what was written for the step before; empty for the first one
     * @return what is said of it
     */
    public static StepWork of(Written written, Optional<Written> earlier) {
        Operation operation = written.operation();
        Check check = Check.of(written.sheet(), operation);
        return new StepWork(written.position(), written.step(), operation, written.sheet(), check,
                following(written, check, earlier.map(Written::sheet).orElse(HandSheet.EMPTY)), tables(written));
    }

    /**
     * @param check what is said of the sheet
     * @param earlier the person's values for the step before
     * @return which differing cells follow from the step before, or from the person's own tables of this one
     */
    public static Following following(Written written, Check check, HandSheet earlier) {
        if (check.differing().isEmpty()) {
            return Following.NONE;
        }
        Map<String, Set<Pixel>> byTable = new LinkedHashMap<>();
        GivenTables.of(written.step(), written.operation(), written.tables()).forEach((table, values) ->
                byTable.put(table, Following.cells(check, values)));
        return Following.of(check, written.step(), earlier, written.operation().before()).with(byTable);
    }

    private static Map<String, TableCheck> tables(Written written) {
        Map<String, TableCheck> checks = new LinkedHashMap<>();
        for (Table table : written.tables().isEmpty() ? List.<Table>of() : written.operation().tables()) {
            Optional.ofNullable(written.tables().get(table.name())).ifPresent(hand ->
                    checks.put(table.name(), TableCheck.of(hand, table)));
        }
        written.tables().keySet().stream().filter(name -> PixelTable.pixel(name).isPresent()).sorted().forEach(name ->
                PixelTable.named(written.step(), written.operation(), name).ifPresent(table ->
                        checks.put(name, TableCheck.of(written.tables().get(name), table))));
        return checks;
    }

    /** @return whether anything was written */
    public boolean isEmpty() {
        return check.filled() == 0 && tables.isEmpty();
    }

    /** @return one of the step's tables, as it is right */
    public Table table(String name) {
        return PixelTable.named(step, operation, name).orElseThrow();
    }

    /** @return what explains the differing cells that do not follow from something earlier */
    public Findings findings(Progress progress) {
        return new SlipFinder(step, operation.before()).find(following.rest(check), progress);
    }

    /** @return what explains wrong cells of the tables, by the name of the table */
    public Map<String, List<TableSlip>> tableSlips() {
        Map<String, List<TableSlip>> slips = new HashMap<>();
        tables.forEach((name, found) -> slips.put(name, TableSlips.find(found, table(name), step, operation.before())));
        return slips;
    }
}
