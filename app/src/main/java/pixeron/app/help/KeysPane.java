package pixeron.app.help;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What the keys do, over the window; Esc closes it. */
public final class KeysPane extends StackPane {

    private static final String[][] KEYS = {
        {"Steps", ""},
        {"Ctrl+Shift+A", "add a step: type part of its name or what it does, then press Enter"},
        {"↑ ↓", "on the steps: select; with Alt: move the step"},
        {"Space · Ctrl+D · Delete · B", "on a step: switch off or on · duplicate · delete · start a branch after it"},
        {"Sheets", ""},
        {"arrows", "pick the next pixel; Page up and down: ten rows; Home and End: ends of the row"},
        {"wheel · drag", "move the image under the sheets; Ctrl with the wheel zooms at the pointer"},
        {"Ctrl + · Ctrl − · Ctrl 0", "larger · smaller · the whole image"},
        {"F3 · F4 · F5 · F6", "sheets · tables of the step · curve · compared results"},
        {"Ctrl 1 · 2 · 3 · F12", "show or hide Before · After · By hand · show one sheet large, or all again"},
        {"Shift+drag · Shift+arrows · Esc", "select a rectangle · clear the selection"},
        {"Ctrl+G · Ctrl+B · F7", "go to a pixel by position · track the picked pixel · next highlighted pixel"},
        {"By hand, and Before where it is the image itself", ""},
        {"a digit", "start typing into the picked cell: a number or an expression such as (52+55+61)/3"},
        {"Enter · ↑ ↓ · Esc", "enter and go right · enter and go up or down · keep the old value"},
        {"Delete", "clear the cell"},
        {"Ctrl+V · Ctrl+Shift+O", "paste a block from a spreadsheet (on the opening view: as an image) · open values by hand from a file"},
        {"F8", "go to the next difference"},
        {"Walk", ""},
        {"F9 · Shift+F9 · F11", "start or close the walk · play or pause · lecture: arrow keys and space bar control it"},
        {"Alt+→ · Alt+← · Alt+↓", "one pixel forward · back · to the next row or column; in a table one row"},
        {"Alt+0 · Alt+1 … Alt+4 · Alt+5", "a color image in color · one channel · all channels side by side"},
        {"Alt+Shift+→ · Alt+Enter", "one line of the loop, term by term · walk to the picked pixel"},
        {"Everything", ""},
        {"Ctrl+F · F1", "find steps, actions, words, pages and cases · explain the focused control, or show these shortcuts"},
        {"Ctrl+Z · Ctrl+Shift+Z", "undo · redo, without limit"},
        {"Ctrl+Shift+C · Ctrl+Shift+X", "copy the working of the picked pixel as text · as LaTeX"},
        {"Ctrl+C · Ctrl+Alt+C · Ctrl+Shift+V",
                "copy the sheet as a table · as a picture · new image from the clipboard"},
        {"Ctrl+O · Ctrl+N · Ctrl+S · Ctrl+P", "open · make a new image · save · write a report"},
        {"Ctrl+Shift+F", "apply the steps to many files"},
        {"Ctrl+W · Ctrl+Q", "back to the opening view · quit"},
        {"Tab", "go to the next part of the window"}};

    private final Button close = new Button("Close");

    public KeysPane() {
        getStyleClass().add("help");
        GridPane table = new GridPane();
        table.getStyleClass().add("help-table");
        for (int n = 0; n < KEYS.length; n++) {
            boolean isHead = KEYS[n][1].isEmpty();
            Label key = new Label(KEYS[n][0]);
            key.getStyleClass().add(isHead ? "help-head" : "help-key");
            key.setMinWidth(Region.USE_PREF_SIZE);
            Label words = new Label(KEYS[n][1]);
            words.setWrapText(true);
            table.add(key, 0, n, isHead ? 2 : 1, 1);
            if (!isHead) {
                table.add(words, 1, n);
            }
        }
        Label title = new Label("Keys");
        title.getStyleClass().add("card-title");
        close.setOnAction(event -> setVisible(false));
        close.setCancelButton(false);
        // Large type may need more height than the window has.
        ScrollPane scroll = new ScrollPane(table);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        VBox box = new VBox(title, scroll, close);
        box.getStyleClass().add("help-box");
        box.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getChildren().add(box);
        addEventFilter(KeyEvent.KEY_PRESSED, event -> {
            if (event.getCode() == KeyCode.ESCAPE || event.getCode() == KeyCode.F1) {
                setVisible(false);
                event.consume();
            }
        });
        setOnMouseClicked(event -> setVisible(false));
        setVisible(false);
    }

    /** Shows it and takes the keyboard. */
    public void open() {
        setVisible(true);
        close.requestFocus();
    }
}
