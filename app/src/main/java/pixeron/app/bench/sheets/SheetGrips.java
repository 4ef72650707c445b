package pixeron.app.bench.sheets;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.Cursor;
import pixeron.PixeronException;
import pixeron.app.bench.parts.Grips;
import pixeron.app.model.Bench;
import pixeron.app.sheet.Hold;
import pixeron.step.Grip;
import pixeron.step.Piece;
import pixeron.step.Step;

/** What of the selected step is taken hold of on the sheets: rectangles by inside and edges, arms by their tip. */
public final class SheetGrips {

    private final Bench bench;
    private final Consumer<String> trouble;
    private final ReadOnlyStringWrapper dragged = new ReadOnlyStringWrapper("");
    private int holds;

    /** @param trouble told in one line why the step stays as it is */
    SheetGrips(Bench bench, Consumer<String> trouble) {
        this.bench = bench;
        this.trouble = trouble;
    }

    /** The name of the grip that is being dragged; empty for none. */
    ReadOnlyStringProperty draggedProperty() {
        return dragged.getReadOnlyProperty();
    }

    /** Returns those on one sheet. */
    List<Grip> on(Grip.On sheet) {
        return Grips.of(bench).stream().filter(grip -> grip.on() == sheet).toList();
    }

    /**
     * Returns what is taken hold of at a place; null for nothing.
     *
     * @param reach how near to an edge or a tip the pointer must be, in cells
     */
    Hold at(Grip.On sheet, Grip.Place place, double reach) {
        List<Hold> holds = new ArrayList<>();
        for (Grip grip : on(sheet)) {
            if (grip instanceof Grip.Rectangle rectangle) {
                Edges edges = Edges.at(rectangle, place, reach);
                if (edges.isOn()) {
                    holds.add(new Dragging(rectangle.name(), edges.cursor(), (from, to) -> rectangle.change().apply(edges.dragged(rectangle.piece(), from, to))));
                }
            } else if (grip instanceof Grip.Circle circle && Math.abs(distance(circle, place) - circle.radius()) <= reach) {
                holds.add(new Dragging(circle.name(), Cursor.HAND, (from, to) -> circle.change().apply(distance(circle, to))));
            } else if (grip instanceof Grip.Arm arm && Math.hypot(arm.tip().row() - place.row(), arm.tip().column() - place.column()) <= reach * 1.5) {
                holds.add(new Dragging(arm.name(), Cursor.HAND, arm.change()));
            }
        }
        // What is drawn last lies on top.
        return holds.isEmpty() ? null : holds.get(holds.size() - 1);
    }

    private static double distance(Grip.Circle circle, Grip.Place place) {
        return Math.hypot(circle.middle().row() - place.row(), circle.middle().column() - place.column());
    }

    /**
     * Which edges of a rectangle are dragged; none of them: all of it.
     *
     * @param down −1 the upper edge, 1 the lower one, 0 neither
     * @param right −1 the left edge, 1 the right one, 0 neither
     */
    private record Edges(boolean isOn, int down, int right) {

        static Edges at(Grip.Rectangle rectangle, Grip.Place place, double reach) {
            Piece piece = rectangle.piece();
            double near = rectangle.isSizable() ? reach : 0;
            boolean isOn = place.row() >= piece.row() - near && place.row() <= piece.lastRow() + 1 + near && place.column() >= piece.column() - near
                    && place.column() <= piece.lastColumn() + 1 + near;
            return rectangle.isSizable() ? new Edges(isOn, edge(place.row(), piece.row(), piece.lastRow() + 1, near),
                    edge(place.column(), piece.column(), piece.lastColumn() + 1, near)) : new Edges(isOn, 0, 0);
        }

        /** Within a small rectangle most of the inside still moves it. */
        private static int edge(double at, int start, int end, double reach) {
            double inner = Math.min(reach, (end - start) / 4.0);
            return at > end - inner ? 1 : at < start + inner ? -1 : 0;
        }

        Cursor cursor() {
            return down == 0 && right == 0 ? Cursor.MOVE : down == 0 ? Cursor.H_RESIZE : right == 0 ? Cursor.V_RESIZE
                    : down == right ? Cursor.NW_RESIZE : Cursor.NE_RESIZE;
        }

        Piece dragged(Piece piece, Grip.Place from, Grip.Place to) {
            int rows = (int) Math.round(to.row() - from.row());
            int columns = (int) Math.round(to.column() - from.column());
            if (down == 0 && right == 0) {
                return piece.moved(rows, columns);
            }
            int top = down < 0 ? Math.min(piece.row() + rows, piece.lastRow()) : piece.row();
            int bottom = down > 0 ? Math.max(piece.lastRow() + rows, piece.row()) : piece.lastRow();
            int left = right < 0 ? Math.min(piece.column() + columns, piece.lastColumn()) : piece.column();
            int end = right > 0 ? Math.max(piece.lastColumn() + columns, piece.column()) : piece.lastColumn();
            return Piece.between(top, left, bottom, end);
        }
    }

    /** One drag, from pressing to letting go, is undone as one. */
    private final class Dragging implements Hold {

        private final String name;
        private final Cursor cursor;
        private final Grip.Pull pull;
        private String key;

        Dragging(String name, Cursor cursor, Grip.Pull pull) {
            this.name = name;
            this.cursor = cursor;
            this.pull = pull;
        }

        @Override
        public Cursor cursor() {
            return cursor;
        }

        @Override
        public void to(Grip.Place from, Grip.Place to, boolean isEnd) {
            if (key == null) {
                key = "grip " + holds++;
            }
            dragged.set(isEnd ? "" : name);
            int position = bench.position();
            try {
                Step changed = pull.to(from, to);
                bench.edit(key, project -> project.withChain(chain -> chain.replaced(position, changed)));
            } catch (PixeronException noSuchStep) {
                trouble.accept(noSuchStep.getMessage());
            }
            if (isEnd) {
                bench.past().endMerge();
            }
        }
    }
}
