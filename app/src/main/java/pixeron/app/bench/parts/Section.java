package pixeron.app.bench.parts;

import java.util.Locale;
import javafx.scene.control.Label;

/** The heads of sections at the side of a view. */
public final class Section {

    private Section() {
    }

    /** Returns the head of a section: shown in capitals, and read by a screen reader as it is written here. */
    public static Label of(String text) {
        Label label = new Label(text.toUpperCase(Locale.ROOT));
        label.setAccessibleText(text);
        label.getStyleClass().add("section-title");
        return label;
    }
}
