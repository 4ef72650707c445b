package pixeron.app.exercise;

import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** A choice with its values. */
final class ChoiceRow extends HBox {

    private final TextField name = SetView.field("Name of the choice, as in the braces");
    private final TextField values = SetView.field("Values, such as 3, 4, 5 or 1 to 9 or 0 to 2 by 0.25");

    /** @param changed runs when something was typed */
    ChoiceRow(Draft.Named named, Runnable changed) {
        getStyleClass().add("set-line");
        name.setText(named.name());
        name.setPrefColumnCount(5);
        values.setText(named.values());
        values.setPromptText("3, 4, 5 or 1 to 9");
        HBox.setHgrow(values, Priority.ALWAYS);
        name.textProperty().subscribe(text -> changed.run());
        values.textProperty().subscribe(text -> changed.run());
        getChildren().addAll(name, values, new RemoveButton(this, changed));
    }

    Draft.Named named() {
        return new Draft.Named(name.getText(), values.getText());
    }
}
