package pixeron.app.bench.parts;

import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import pixeron.app.model.Bench;

/** A part of the bench that tells results: while an exercise is done alone, a sentence is in its place. */
public final class Withheld extends StackPane {

    /** Why nothing is shown, and what would show it. */
    public static final String WORDS = "Covered: this is an exercise. For hints or Show everything, see the Slips tab.";

    private final Bench bench;
    private final Region part;
    private final Label words = new Label(WORDS);

    /**
     * Wraps a part of the bench that is replaced by a message while results are covered.
     *
     * @param part what tells results
     */
    public Withheld(Bench bench, Region part) {
        this.bench = bench;
        this.part = part;
        words.getStyleClass().add("sheet-hint");
        words.setWrapText(true);
        getChildren().addAll(part, words);
        bench.shownProperty().subscribe(shown -> render());
        bench.looking().hintsProperty().subscribe(taken -> render());
    }

    /** Returns the part itself, where a node covers one. */
    static Node open(Node node) {
        return node instanceof Withheld covered ? covered.part : node;
    }

    private void render() {
        boolean isWithheld = bench.isWithheld();
        part.setVisible(!isWithheld);
        words.setVisible(isWithheld);
    }
}
