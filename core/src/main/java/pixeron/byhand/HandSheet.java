package pixeron.byhand;

import java.util.Collections;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import pixeron.PixeronException;
import pixeron.format.CellTable;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.number.Rational;

/**
 * A user's values for the result of one step: some cells filled, the others blank.
 *
 * <p>Immutable; a change costs a copy of the filled cells.
 */
public final class HandSheet {

    /** Nothing filled, no tolerance. */
    public static final HandSheet EMPTY = new HandSheet(new TreeMap<>(), Optional.empty());

    private final SortedMap<Pixel, HandValue> cells;
    private final Optional<Rational> tolerance;

    private HandSheet(SortedMap<Pixel, HandValue> cells, Optional<Rational> tolerance) {
        this.cells = Collections.unmodifiableSortedMap(cells);
        this.tolerance = tolerance;
    }

    /** Returns the filled cells in reading order. */
    public SortedMap<Pixel, HandValue> cells() {
        return cells;
    }

    /** Returns how far a value may be off and still agree; empty: by the decimals that were written. */
    public Optional<Rational> tolerance() {
        return tolerance;
    }

    public boolean isEmpty() {
        return cells.isEmpty();
    }

    /** Returns this with the text written into a cell; a blank text clears it. */
    public HandSheet with(Pixel pixel, String text) {
        return with(Map.of(pixel, text));
    }

    /** Returns this with several cells written; blank texts clear theirs. */
    public HandSheet with(Map<Pixel, String> texts) {
        SortedMap<Pixel, HandValue> changed = new TreeMap<>(cells);
        texts.forEach((pixel, text) -> {
            if (text.isBlank()) {
                changed.remove(pixel);
            } else {
                changed.put(pixel, HandValue.parse(text));
            }
        });
        return new HandSheet(changed, tolerance);
    }

    /** Returns this with rows for columns. */
    public HandSheet swapped() {
        SortedMap<Pixel, HandValue> changed = new TreeMap<>();
        cells.forEach((pixel, value) -> changed.put(new Pixel(pixel.column(), pixel.row()), value));
        return new HandSheet(changed, tolerance);
    }

    /**
     * Returns this with another tolerance.
     *
     * @param allowed 0 or more, or empty
     * @throws PixeronException if the tolerance is negative
     */
    public HandSheet withTolerance(Optional<Rational> allowed) {
        if (allowed.isPresent() && allowed.get().signum() < 0) {
            throw PixeronException.of("The tolerance %s must be 0 or more.", allowed.get());
        }
        return new HandSheet(cells, allowed);
    }

    /**
     * Writes a block of cells, such as a spreadsheet puts on the clipboard. Blank cells of the block leave theirs as
     * they are.
     *
     * @param corner where the block's first cell goes
     * @param block the cells
     * @param grid the frame whose size the sheet has
     * @return this with the block written
     * @throws PixeronException if the block reaches beyond the grid
     */
    public HandSheet withBlock(Pixel corner, CellTable block, Frame grid) {
        List<List<String>> rows = block.trimmed().rows();
        int height = rows.size();
        int width = rows.stream().mapToInt(List::size).max().orElse(0);
        if (corner.row() + height > grid.rows() || corner.column() + width > grid.columns()) {
            throw PixeronException.of("A block of %d × %d cells that begins at %s does not fit into %d × %d.",
                    height, width, corner, grid.rows(), grid.columns());
        }
        SortedMap<Pixel, HandValue> changed = new TreeMap<>(cells);
        for (int i = 0; i < height; i++) {
            List<String> row = rows.get(i);
            for (int j = 0; j < row.size(); j++) {
                if (!row.get(j).isBlank()) {
                    changed.put(new Pixel(corner.row() + i, corner.column() + j), HandValue.parse(row.get(j)));
                }
            }
        }
        return new HandSheet(changed, tolerance);
    }

    /**
     * A table that fills a whole sheet: as many rows and columns as the grid; blank cells are not filled. A row that is
     * blank altogether may be an empty line.
     *
     * @param table the cells
     * @param grid the frame whose size the sheet has
     * @return the sheet
     * @throws PixeronException if the shapes differ; names the row
     */
    public static HandSheet of(CellTable table, Frame grid) {
        List<List<String>> rows = table.rows();
        if (rows.size() < grid.rows() || table.trimmed().rows().size() > grid.rows()) {
            throw PixeronException.of("The table has %d rows, but the result has %d.", rows.size(), grid.rows());
        }
        for (int i = 0; i < grid.rows(); i++) {
            int length = rows.get(i).size();
            if (length != grid.columns() && !rows.get(i).stream().allMatch(String::isBlank)) {
                throw PixeronException.of("Row %d (counted from 0) of the table has %d cells, but the result has %d columns.",
                        i, length, grid.columns());
            }
        }
        return EMPTY.withBlock(new Pixel(0, 0), table, grid);
    }

    /**
     * A table of another shape than the result: what lies beyond the result is kept and counts for nothing.
     *
     * @return the sheet with all cells of the table
     */
    public static HandSheet ofAny(CellTable table) {
        return EMPTY.withBlock(new Pixel(0, 0), table, new Frame(Math.max(1, table.rows().size()), Math.max(1, table.width()), 1));
    }

    /** Returns whether every cell that is filled holds a number or an expression. */
    public boolean isUnderstood() {
        return cells.values().stream().allMatch(cell -> cell.value().isPresent());
    }

    /** A sheet and the same after a key have nearly all their values in common, and are compared more than once for each key. */
    @Override
    public boolean equals(Object other) {
        return this == other || other instanceof HandSheet sheet && tolerance.equals(sheet.tolerance) && hasCellsOf(sheet);
    }

    private boolean hasCellsOf(HandSheet other) {
        if (cells.size() != other.cells.size()) {
            return false;
        }
        // Both in reading order, so that nothing has to be looked up.
        Iterator<Map.Entry<Pixel, HandValue>> others = other.cells.entrySet().iterator();
        for (Map.Entry<Pixel, HandValue> cell : cells.entrySet()) {
            Map.Entry<Pixel, HandValue> same = others.next();
            if (!cell.getKey().equals(same.getKey()) || cell.getValue() != same.getValue() && !cell.getValue().equals(same.getValue())) {
                return false;
            }
        }
        return true;
    }

    @Override
    public int hashCode() {
        return cells.hashCode();
    }
}
