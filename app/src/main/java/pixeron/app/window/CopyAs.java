package pixeron.app.window;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import javafx.collections.ObservableList;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import pixeron.app.bench.sheets.SheetsPane;
import pixeron.app.bench.sheets.SheetsPane.Kind;
import pixeron.format.array.ArrayNotation;

/** The notations that a sheet can be copied in, with the one that was used last first: in the menu, and in a menu of each sheet. */
final class CopyAs {

    private final List<ArrayNotation> notations = new ArrayList<>(List.of(ArrayNotation.values()));
    private final BiConsumer<Kind, ArrayNotation> copy;

    /** @param copy copies a sheet; null instead of a sheet means the one that has the keyboard */
    CopyAs(BiConsumer<Kind, ArrayNotation> copy) {
        this.copy = copy;
    }

    /** Returns the menu of the window. */
    Menu menu() {
        Menu menu = new Menu("Copy the sheet as an array");
        fill(menu.getItems(), null);
        menu.setOnShowing(event -> fill(menu.getItems(), null));
        return menu;
    }

    /** Gives each sheet a menu of its own. */
    void attach(SheetsPane sheets) {
        for (Kind kind : List.of(Kind.BEFORE, Kind.AFTER, Kind.BY_HAND)) {
            sheets.sheet(kind).setOnContextMenuRequested(event -> {
                // A new one each time: a menu that was shown before remembers its place, and another notation is there now.
                ContextMenu menu = new ContextMenu();
                fill(menu.getItems(), kind);
                menu.setAutoHide(true);
                menu.show(sheets.sheet(kind), event.getScreenX(), event.getScreenY());
                event.consume();
            });
        }
    }

    private void fill(ObservableList<MenuItem> items, Kind kind) {
        items.setAll(notations.stream().map(notation -> {
            MenuItem item = new MenuItem("Copy as " + notation.title());
            item.setOnAction(event -> {
                copy.accept(kind, notation);
                notations.remove(notation);
                notations.add(0, notation);
            });
            return item;
        }).toList());
    }
}
