package pixeron.app.bench.parts;

import javafx.scene.control.Label;

/** The heads of sections at the side of a view. */
public final class Section {

    private Section() {
    }

    /** @return the head of a section */
    public static Label of(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("section-title");
        return label;
    }
}
