package pixeron.app.sheet;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.collections.FXCollections;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.layout.Region;
import pixeron.image.Pixel;

/**
 * The cells of a sheet for screen readers. They are drawn, so there is nothing in the scene that could be read; for each one that is
 * asked for an empty part is in its place and has its words.
 */
final class SheetCells {

    /** A reader asks for what is around the picked cell; more need not be kept. */
    private static final int MOST = 64;

    private final Sheet sheet;
    private final List<Node> children;
    private final Map<Pixel, Cell> cells = new LinkedHashMap<>(MOST, 0.75f, true);

    /** @param children where the sheet has its parts */
    SheetCells(Sheet sheet, List<Node> children) {
        this.sheet = sheet;
        this.children = children;
    }

    /** Returns whether {@link #answer} knows about this. */
    boolean answers(AccessibleAttribute attribute) {
        return switch (attribute) {
            case ROW_COUNT, COLUMN_COUNT, CELL_AT_ROW_COLUMN, FOCUS_ITEM, SELECTED_ITEMS -> true;
            default -> false;
        };
    }

    /** Returns what a screen reader wants to know of the grid. */
    Object answer(AccessibleAttribute attribute, Object... parameters) {
        Pixel picked = sheet.picked();
        return switch (attribute) {
            case ROW_COUNT -> sheet.extent().rows();
            case COLUMN_COUNT -> sheet.extent().columns();
            case CELL_AT_ROW_COLUMN -> at(new Pixel((Integer) parameters[0], (Integer) parameters[1]));
            case FOCUS_ITEM -> picked == null ? null : at(picked);
            default -> picked == null ? FXCollections.observableArrayList() : FXCollections.observableArrayList(at(picked));
        };
    }

    private Cell at(Pixel pixel) {
        Cell cell = cells.get(pixel);
        if (cell == null) {
            if (cells.size() == MOST) {
                children.remove(cells.remove(cells.keySet().iterator().next()));
            }
            cell = new Cell(pixel);
            cells.put(pixel, cell);
            children.add(cell);
        }
        double side = sheet.extent().cell();
        cell.resizeRelocate(sheet.cellX(pixel), sheet.cellY(pixel), side, side);
        return cell;
    }

    /** One cell: says what is in it when it is asked. */
    final class Cell extends Region {

        private final Pixel pixel;

        private Cell(Pixel pixel) {
            this.pixel = pixel;
            setManaged(false);
            setMouseTransparent(true);
            setFocusTraversable(false);
            setAccessibleRole(AccessibleRole.TABLE_CELL);
        }

        @Override
        public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
            return switch (attribute) {
                case TEXT -> sheet.words(pixel);
                case ROW_INDEX -> pixel.row();
                case COLUMN_INDEX -> pixel.column();
                case SELECTED -> pixel.equals(sheet.picked());
                default -> super.queryAccessibleAttribute(attribute, parameters);
            };
        }
    }
}
