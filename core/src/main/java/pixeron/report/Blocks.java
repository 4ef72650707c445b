package pixeron.report;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.table.TableCheck;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.report.Block.Cell;
import pixeron.report.Block.Grid;
import pixeron.report.Block.Listing;
import pixeron.report.Block.Work;
import pixeron.report.Block.Workings;
import pixeron.step.Explained;
import pixeron.working.Table;
import pixeron.working.Working;

/** Makes blocks of reports from values by hand and the findings about them. */
public final class Blocks {

    /** An image with more rows or columns is shown in part, from before the first differing cell on. */
    private static final int MOST_CELLS = 12;
    /** So many rows and columns of it, which leaves room for three beside each other. */
    private static final int PART = 8;

    private Blocks() {
    }

    /**
     * Returns the values of a check with their marks.
     *
     * @param following the cells that follow from something earlier
     * @param shape the result that they are compared with
     */
    public static Grid byHand(String title, Check check, Set<Pixel> following, Image shape) {
        Map<Pixel, CellCheck> cells = check.cells().stream().collect(Collectors.toMap(CellCheck::pixel, Function.identity()));
        return grid(title, shape, shape, check, pixel -> Optional.ofNullable(cells.get(pixel)).map(cell ->
                new Cell(cell.byHand().text(), Mark.of(cell, following.contains(pixel)))).orElse(Cell.plain("")));
    }

    /**
     * Returns the values of an image, the same part of it as {@link #byHand} shows.
     *
     * @param shape the result that is compared
     */
    public static Grid values(String title, Image image, Image shape, Check check) {
        return grid(title, image, shape, check, pixel -> Cell.plain(Decimals.approximate(image.value(pixel))));
    }

    /** The whole image where it is small, else the part around the first differing cell; the same part for all grids of a step. */
    private static Grid grid(String title, Image image, Image shape, Check check, Function<Pixel, Cell> cell) {
        Pixel around = check.first().map(CellCheck::pixel).orElse(new Pixel(0, 0));
        boolean isWhole = Math.max(shape.rows(), shape.columns()) <= MOST_CELLS;
        int most = isWhole ? MOST_CELLS : PART;
        int top = isWhole ? 0 : first(around.row(), shape.rows());
        int left = isWhole ? 0 : first(around.column(), shape.columns());
        List<List<Cell>> rows = new ArrayList<>();
        for (int i = top; i < Math.min(image.rows(), top + most); i++) {
            List<Cell> row = new ArrayList<>();
            for (int j = left; j < Math.min(image.columns(), left + most); j++) {
                row.add(cell.apply(new Pixel(i, j)));
            }
            rows.add(row);
        }
        boolean isPart = rows.size() < image.rows() || rows.get(0).size() < image.columns();
        return new Grid(title + (isPart ? " (a part)" : ""), top, left, rows);
    }

    private static int first(int around, int length) {
        return Math.max(0, Math.min(around - 1, length - PART));
    }

    /** Returns the correct working of the first cell of a slip, beside the working with the slip. */
    public static Workings workings(Explained right, Explanation slip) {
        Pixel pixel = slip.pixels().get(0);
        Working ours = right.explain(pixel);
        Optional<Working> theirs = slip.done().flatMap(done -> explained(done, pixel));
        int at = theirs.map(ours::partsAt).orElse(Integer.MAX_VALUE);
        List<Work> both = new ArrayList<>(List.of(work("Correct values, " + pixel, ours, at)));
        theirs.ifPresent(slipped -> both.add(work("With the slip", slipped, at)));
        return new Workings(both);
    }

    private static Optional<Working> explained(Explained done, Pixel pixel) {
        try {
            return Optional.of(done.explain(pixel));
        } catch (PixeronException withoutValue) {
            return Optional.empty();
        }
    }

    static Work work(String title, Working working, int partsAt) {
        int width = working.lines().stream().mapToInt(line -> line.label().length()).max().orElse(0);
        return new Work(title, working.lines().stream().map(line -> (String.format("%-" + Math.max(1, width) + "s  ", line.label())
                + line.text()).stripTrailing()).toList(), partsAt);
    }

    /** Returns the rows of a table that have values by hand, each value with its mark and the correct one beside it. */
    public static Listing listing(Table table, TableCheck check) {
        List<String> written = table.columns().stream().filter(column -> check.cells().stream().anyMatch(cell ->
                cell.column().equals(column))).toList();
        List<String> head = new ArrayList<>(List.of(String.join(" ", table.columns().subList(0, table.keys()))));
        written.forEach(column -> head.addAll(List.of(table.kind().column(column) + " by hand", "right")));
        List<List<Cell>> rows = new ArrayList<>();
        for (int row = 0; row <= table.rows().size(); row++) {
            int at = row;
            if (check.cells().stream().anyMatch(cell -> cell.row() == at)) {
                List<Cell> cells = new ArrayList<>(List.of(Cell.plain(table.isKeyed() ? table.key(row) : "")));
                written.forEach(column -> addCell(cells, check.cell(at, column), table.value(at, column)));
                rows.add(cells);
            }
        }
        return new Listing(head, rows);
    }

    private static void addCell(List<Cell> cells, Optional<TableCheck.Cell> written, Optional<Value> right) {
        cells.add(written.map(cell -> new Cell(cell.byHand().text(), Mark.of(cell))).orElse(Cell.plain("")));
        cells.add(Cell.plain(right.map(Decimals::working).orElse("")));
    }
}
