package pixeron.byhand.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import pixeron.PixeronException;
import pixeron.byhand.Claim;
import pixeron.byhand.Verdict;
import pixeron.byhand.slip.search.KnownSlips;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Way;
import pixeron.step.table.LevelRows;
import pixeron.step.table.PixelTable;
import pixeron.working.Table;

/**
 * Looks for the slips that explain the cells of a table that are wrong by themselves, column by column. A cell that follows
 * from others needs no explanation.
 *
 * <p>A slip of the step is another table or other new levels; besides, values can stand a row too far down or up, in the
 * column of another, or with their fraction cut off. It is claimed as in a sheet: for at least two cells and at least half of
 * those in the column, against none that agrees. One wrong count or cumulative count from which others follow is named as what
 * it is.
 */
public final class TableSlips {

    /** Slips with more ways than this, such as every count with every error, are named by their first cell instead. */
    private static final int MOST_WAYS = 20;

    /**
     * A way to make a slip in a column of a table.
     *
     * @param id of the slip
     * @param words completes "is what you get when"
     * @param column the name of the column
     * @param row gives the value in a row, from 0; empty where this way gives none
     */
    public record TableWay(String id, String words, String column, IntFunction<Optional<Value>> row) {
    }

    private final Table table;
    private final Operation operation;
    private List<TableWay> all;

    private TableSlips(Table table, Operation operation) {
        this.table = table;
        this.operation = operation;
    }

    /** Made when it is first needed: a table of one row never does. */
    private List<TableWay> all() {
        if (all == null) {
            all = ways(table, operation);
        }
        return all;
    }

    /**
     * Returns the slips that are claimed, in the order of the columns.
     *
     * @param check the user's values for the table
     * @param table what is right
     * @param operation the step whose table it is
     */
    public static List<TableSlip> find(TableCheck check, Table table, Operation operation) {
        if (check.first().isEmpty()) {
            return List.of();
        }
        TableSlips slips = new TableSlips(table, operation);
        List<TableSlip> found = new ArrayList<>();
        for (String column : table.columns()) {
            slips.find(check, column).ifPresent(found::add);
        }
        return found;
    }

    private Optional<TableSlip> find(TableCheck check, String column) {
        List<TableCheck.Cell> cells = check.cells().stream().filter(cell -> cell.column().equals(column)).toList();
        List<TableCheck.Cell> wrong = cells.stream().filter(cell -> cell.state() == Verdict.DIFFERS).toList();
        if (wrong.size() == 1) {
            return one(wrong.get(0), cells);
        }
        List<TableCheck.Cell> agreeing = cells.stream().filter(cell -> cell.state() == Verdict.AGREES).toList();
        TableSlip best = null;
        for (TableWay slip : wrong.isEmpty() ? List.<TableWay>of() : all()) {
            if (slip.column().equals(column) && agreeing.stream().noneMatch(cell -> slip.row().apply(cell.row())
                    .filter(value -> !cell.byHand().agreesWith(value)).isPresent())) {
                List<TableCheck.Cell> explained = wrong.stream().filter(cell -> slip.row().apply(cell.row())
                        .filter(cell.byHand()::agreesWith).isPresent()).toList();
                Claim claim = new Claim(explained.size(), wrong.size());
                if (claim.holds() && (best == null || explained.size() > best.explains())) {
                    best = new TableSlip(slip.id(), column, wrong.size(), claim.words() + " wrong cells of this column are what you get when " + slip.words() + ".", explained);
                }
            }
        }
        return Optional.ofNullable(best);
    }

    /** One wrong count, from which others follow, is no pattern but sure enough. */
    private Optional<TableSlip> one(TableCheck.Cell cell, List<TableCheck.Cell> column) {
        Value off = cell.difference().orElseThrow();
        boolean isFollowed = column.stream().anyMatch(other -> other.state() == Verdict.FOLLOWS);
        String key = table.isKeyed() && cell.row() < table.rows().size() ? table.rowName(cell.row()) : "";
        if (cell.column().equals(LevelRows.COUNT) && cell.row() < table.rows().size()) {
            return Optional.of(new TableSlip("miscounted", LevelRows.COUNT, 1, "At " + key + " you counted " + cell.byHand().text()
                    + " pixels; there are " + Decimals.working(cell.value()) + ".", List.of(cell)));
        } else if (cell.column().equals(LevelRows.RUNNING) && isFollowed) {
            return Optional.of(new TableSlip("running-count-slip", LevelRows.RUNNING, 1, "From " + key + " on, the cumulative count is "
                    + Decimals.working(off.absolute()) + (off.signum() > 0 ? " too large." : " too small."), List.of(cell)));
        }
        return cell.column().equals(PixelTable.ROUNDED) ? rounded(cell) : Optional.empty();
    }

    /** The rounded value on the way to one pixel, of which there is only one. */
    private Optional<TableSlip> rounded(TableCheck.Cell cell) {
        Value exact = table.rows().get(0).get(table.columns().indexOf(PixelTable.ROUNDED) - 1);
        for (Rounding rounding : List.of(Rounding.TRUNCATE, Rounding.CEILING)) {
            if (cell.byHand().agreesWith(rounding.apply(exact))) {
                boolean isDown = rounding == Rounding.TRUNCATE;
                return Optional.of(new TableSlip(isDown ? "rounded-down" : "rounded-up", PixelTable.ROUNDED, 1, Decimals.working(exact)
                        + (isDown ? " was rounded down instead of to nearest." : " was rounded up."), List.of(cell)));
            }
        }
        return Optional.empty();
    }

    /** Returns all ways to make a known slip in a table, in the order of preference. */
    public static List<TableWay> ways(Table table, Operation operation) {
        List<TableWay> all = new ArrayList<>();
        for (Slip slip : KnownSlips.of(operation.step().type())) {
            List<Way> ways = slip.ways(operation);
            for (Way way : ways.size() > MOST_WAYS ? List.<Way>of() : ways) {
                addTable(all, slip, way, table);
                if (table.kind().equals(LevelRows.LEVELS)) {
                    addLevels(all, slip, way, table, operation.before());
                }
            }
        }
        if (table.columns().contains(LevelRows.RUNNING) && table.columns().contains(LevelRows.COUNT)) {
            all.add(new TableWay("share-not-running", "the count of the level is written instead of the cumulative count", LevelRows.RUNNING,
                    row -> table.value(row, LevelRows.COUNT)));
        }
        for (String column : table.columns()) {
            addPlaces(all, table, column);
        }
        return all;
    }

    /** The same table of the step that was done instead. */
    private static void addTable(List<TableWay> all, Slip slip, Way way, Table table) {
        try {
            way.done().filter(Operation.class::isInstance).map(Operation.class::cast).stream().flatMap(other -> other.tables().stream())
                    .filter(other -> other.name().equals(table.name())).forEach(other -> {
                for (String column : other.columns()) {
                    if (table.isFillable(column)) {
                        all.add(new TableWay(slip.id(), way.words(), column, row -> Optional.of(other.row(table.key(row)))
                                .filter(found -> found >= 0).flatMap(found -> other.value(found, column))));
                    }
                }
            });
        } catch (PixeronException withoutTable) {
            // From this input the other step makes no table.
        }
    }

    /** New levels as the slip gives them in pixels that have the level. */
    private static void addLevels(List<TableWay> all, Slip slip, Way way, Table table, Image before) {
        Map<String, Pixel> places = new HashMap<>();
        for (int n = 0; n < before.count(); n++) {
            places.putIfAbsent(Decimals.exact(before.value(n)), before.pixel(n));
        }
        all.add(new TableWay(slip.id(), way.words(), LevelRows.NEW_LEVEL, row -> value(places.get(table.key(row)), way.value()::apply)));
        way.done().ifPresent((Explained done) -> all.add(new TableWay(slip.id(), way.words(), LevelRows.EXACT,
                row -> value(places.get(table.key(row)), done::exact))));
    }

    private interface OfPixel {
        Value at(Pixel pixel);
    }

    private static Optional<Value> value(Pixel pixel, OfPixel values) {
        try {
            return pixel == null ? Optional.empty() : Optional.of(values.at(pixel));
        } catch (PixeronException withoutValue) {
            return Optional.empty();
        }
    }

    /** Right values a row too far down or up, and fractions that are cut off at some decimal. */
    private static void addPlaces(List<TableWay> all, Table table, String column) {
        for (int far : new int[] {1, -1}) {
            all.add(new TableWay("shifted-by-one", "all values are one row too far " + (far > 0 ? "down" : "up"), column,
                    row -> row - far < 0 || row - far >= table.rows().size() || row >= table.rows().size() ? Optional.empty()
                            : table.value(row - far, column)));
        }
        Rational scale = Rational.ONE;
        for (int decimals = 0; decimals <= 4; decimals++) {
            Rational tens = scale;
            all.add(new TableWay("rounded-down", decimals == 0 ? "the fraction is dropped instead of rounded"
                    : "the digits after decimal " + decimals + " are dropped instead of rounded", column,
                    row -> table.value(row, column).filter(Rational.class::isInstance).map(value ->
                            Rounding.TRUNCATE.apply(value.times(tens)).dividedBy(tens))));
            scale = scale.times(Rational.of(10));
        }
    }
}
