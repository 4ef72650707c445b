package pixeron.app.bench.sheets;

import javafx.beans.property.ObjectProperty;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** Gives one sheet all the room of the bench, and gives it back. */
final class LargeButton extends ToggleButton {

    /**
     * @param title what the sheet is called
     * @param large the sheet that has all the room
     * @param kind the sheet of this button
     */
    LargeButton(String title, ObjectProperty<SheetsPane.Kind> large, SheetsPane.Kind kind) {
        FontIcon icon = new FontIcon(Feather.MAXIMIZE_2);
        setGraphic(icon);
        getStyleClass().addAll("icon-button", "tool", "corner-button");
        Tooltip words = new Tooltip();
        setTooltip(words);
        setOnAction(event -> large.set(large.get() == kind ? null : kind));
        large.subscribe(now -> {
            setSelected(now == kind);
            icon.setIconCode(now == kind ? Feather.MINIMIZE_2 : Feather.MAXIMIZE_2);
            words.setText((now == kind ? "Show the other sheets and the working again" : "Show " + title + " enlarged") + " (F12)");
            setAccessibleText(words.getText());
        });
    }
}
