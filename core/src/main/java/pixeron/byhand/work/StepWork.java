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
import pixeron.byhand.slip.search.ShapeSlip;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.table.GivenTables;
import pixeron.byhand.table.HandTable;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlip;
import pixeron.byhand.table.TableSlips;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.KnownValues;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.table.PixelTable;
import pixeron.working.Table;

/**
 * A user's work on one step, or on one face of its result where that has several.
 *
 * @param written the values that the findings are about
 * @param check the findings about the values for the result
 * @param following the differing cells that follow from something earlier
 * @param tables the findings about the user's values in the step's tables, by name, in the order of the tables
 * @param earlier the user's values for the step before
 */
public record StepWork(Written written, Check check, Following following, Map<String, TableCheck> tables, HandSheet earlier) {

    /**
     * What a user wrote for a step.
     *
     * @param position of the step, from 0
     * @param face the name of the face
     * @param operation the step, bound to its input
     * @param byHand what was written
     */
    public record Written(int position, String face, Operation operation, ByHand byHand) {

        /** A step whose result is an image. */
        public Written(int position, Operation operation, HandSheet sheet, Map<String, HandTable> tables) {
            this(position, Image.VALUE, operation, new ByHand(sheet, tables));
        }

        HandSheet sheet() {
            return byHand.sheet();
        }

        Map<String, HandTable> tables() {
            return byHand.tables();
        }
    }

    /** Returns whether the findings are about exactly these values. */
    public boolean isOf(Written other, Optional<Written> before) {
        return written.position == other.position && written.face.equals(other.face) && written.operation == other.operation
                && written.sheet() == other.sheet() && written.tables().equals(other.tables()) && earlier == before.map(Written::sheet).orElse(HandSheet.EMPTY);
    }

    /**
     * Returns the findings about it.
     *
     * @param written what was written for the step
     * @param earlier what was written for the step before; empty for the first one
     */
    public static StepWork of(Written written, Optional<Written> earlier) {
        Operation operation = written.operation();
        // A value typed makes all cells be looked at again: their right values together are quicker than one by one.
        Check check = Check.of(written.sheet(), KnownValues.of(operation));
        HandSheet before = earlier.map(Written::sheet).orElse(HandSheet.EMPTY);
        return new StepWork(written, check, following(written, check, before), tables(written), before);
    }

    /**
     * Returns which differing cells follow from the step before, or from the user's own tables of this one.
     *
     * @param check the findings about the sheet
     * @param earlier the user's values for the step before
     */
    public static Following following(Written written, Check check, HandSheet earlier) {
        if (check.differing().isEmpty()) {
            return Following.NONE;
        }
        Map<String, Set<Pixel>> byTable = new LinkedHashMap<>();
        GivenTables.of(written.operation(), written.tables()).forEach((table, values) ->
                byTable.put(table, Following.cells(check, values)));
        return Following.of(check, written.operation(), earlier).with(byTable);
    }

    private static Map<String, TableCheck> tables(Written written) {
        Map<String, TableCheck> checks = new LinkedHashMap<>();
        for (Table table : written.tables().isEmpty() ? List.<Table>of() : written.operation().tables()) {
            Optional.ofNullable(written.tables().get(table.name())).ifPresent(hand ->
                    checks.put(table.name(), TableCheck.of(hand, table)));
        }
        written.tables().keySet().stream().filter(name -> PixelTable.pixel(name).isPresent()).sorted().forEach(name ->
                PixelTable.named(written.operation(), name).ifPresent(table ->
                        checks.put(name, TableCheck.of(written.tables().get(name), table))));
        return checks;
    }

    /** Returns the step's position, from 0. */
    public int position() {
        return written.position();
    }

    /** Returns the name of the face. */
    public String face() {
        return written.face();
    }

    /** Returns what a user calls the face where there are several, such as red; empty where there is one. */
    public Optional<String> channel() {
        return Optional.of(written.face()).filter(face -> !face.equals(Image.VALUE));
    }

    /** Returns the step, bound to its input. */
    public Operation operation() {
        return written.operation();
    }

    /** Returns the user's values for the result. */
    public HandSheet sheet() {
        return written.sheet();
    }

    public Step step() {
        return operation().step();
    }

    /** Returns whether anything was written. */
    public boolean isEmpty() {
        return check.filled() == 0 && tables.isEmpty();
    }

    /** Returns one of the step's tables, as it is right. */
    public Table table(String name) {
        return PixelTable.named(operation(), name).orElseThrow();
    }

    /** Returns what explains the differing cells that do not follow from something earlier. */
    public Findings findings(Progress progress) {
        return withShape(new SlipFinder(operation()).find(following.rest(check), progress));
    }

    /** Returns these with what the shape of the sheet says, where it is larger than the result. */
    public Findings withShape(Findings found) {
        return ShapeSlip.of(sheet(), operation()).map(found::with).orElse(found);
    }

    /** Returns what explains wrong cells of the tables, by the name of the table. */
    public Map<String, List<TableSlip>> tableSlips() {
        Map<String, List<TableSlip>> slips = new HashMap<>();
        tables.forEach((name, found) -> slips.put(name, TableSlips.find(found, table(name), operation())));
        return slips;
    }
}
