package pixeron.app.exercise;

import java.util.List;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.bench.parts.Titles;

/** What is asked for, with its points. */
final class QuestionRow extends VBox {

    private final TextField step = SetView.field("Step number, from 1");
    private final ComboBox<Draft.Kind> kind = new ComboBox<>();
    private final TextField detail = SetView.field("Cells such as 0,0 1,2; a rectangle such as 0 0 3 3; a table and its column such as levels s; a pixel such as 1,1");
    private final TextField face = SetView.field("Component or channel, such as magnitude or red");
    private final TextField points = SetView.field("Points");

    /**
     * @param hasFaces whether results may have several faces
     * @param changed runs when something was typed or chosen
     */
    QuestionRow(Draft.Question question, boolean hasFaces, Runnable changed) {
        getStyleClass().add("asked-part");
        step.setText(String.valueOf(question.step()));
        step.setPrefColumnCount(2);
        kind.getItems().setAll(Draft.Kind.values());
        kind.setConverter(new Titles<>(Draft.Kind::title));
        kind.setValue(question.kind());
        kind.setAccessibleText("Question");
        detail.setText(question.detail());
        detail.getStyleClass().add("number-field");
        HBox.setHgrow(detail, Priority.ALWAYS);
        face.setText(question.face());
        face.setPromptText("component");
        face.setPrefColumnCount(6);
        points.setText(question.points());
        points.setPrefColumnCount(3);
        List.of(step, detail, face, points).forEach(field -> field.textProperty().subscribe(text -> changed.run()));
        HBox more = SetView.row(detail, face);
        kind.valueProperty().subscribe(value -> {
            boolean hasDetail = value != Draft.Kind.ALL && value != Draft.Kind.CONSTANTS;
            detail.setVisible(hasDetail);
            detail.setManaged(hasDetail);
            changed.run();
        });
        face.setVisible(hasFaces);
        face.setManaged(hasFaces);
        getChildren().addAll(SetView.row(new Label("step"), step, kind, points, new Label("points"), new RemoveButton(this, changed)), more);
    }

    Draft.Question question() {
        String at = step.getText().strip();
        if (!at.matches("\\d{1,3}")) {
            throw PixeronException.of("“%s” is not a step number.", at);
        }
        return new Draft.Question(Integer.parseInt(at), kind.getValue(), detail.getText(), face.getText(), points.getText());
    }
}
