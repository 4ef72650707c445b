package pixeron.app.window;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import javafx.collections.ObservableList;
import javafx.geometry.Side;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import org.kordamp.ikonli.javafx.FontIcon;
import org.kordamp.ikonli.feather.Feather;
import pixeron.app.bench.sheets.SheetsPane.Kind;
import pixeron.app.bench.sheets.SheetsPane;
import pixeron.format.array.ArrayNotation;

/** The notations that a sheet can be copied in, with the one that was used last first: in the menu, and in a menu and a button of each sheet. */
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
                menuOf(kind).show(sheets.sheet(kind), event.getScreenX(), event.getScreenY());
                event.consume();
            });
            if (kind != Kind.BY_HAND) {
                // Its line of counts needs all the room in large type.
                sheets.addCornerControl(kind, button(kind));
            }
        }
    }

    private Button button(Kind kind) {
        Button button = new Button();
        button.setGraphic(new FontIcon(Feather.COPY));
        button.getStyleClass().addAll("icon-button", "tool", "corner-button");
        String words = "Copy " + kind.title() + " as an array";
        button.setTooltip(new Tooltip(words));
        button.setAccessibleText(words);
        button.setOnAction(event -> menuOf(kind).show(button, Side.BOTTOM, 0, 0));
        return button;
    }

    /** A new one each time: a menu that was shown before remembers its place, and another notation is there now. */
    private ContextMenu menuOf(Kind kind) {
        ContextMenu menu = new ContextMenu();
        fill(menu.getItems(), kind);
        menu.setAutoHide(true);
        return menu;
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
