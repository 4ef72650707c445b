package pixeron.app.bench.sheets;

import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import pixeron.app.model.Bench;
import pixeron.app.model.Shown;
import pixeron.image.Image;
import pixeron.step.catalog.StepLine;

/** Makes levels of an open result, such as a gradient with negative values: by a further step, not behind one's back. */
final class ToLevels extends MenuButton {

    private final Bench bench;

    ToLevels(Bench bench) {
        super("To levels");
        this.bench = bench;
        getStyleClass().add("quiet");
        setTooltip(new Tooltip("The result has values that are no levels; add a step that makes levels of them"));
        getItems().addAll(item("Absolute value", "formula expression=abs(r)"),
                new MenuItem("Half of M added"), item("Smallest and largest to 0 and M", "stretch"));
        // Which number half of M is depends on the image.
        getItems().get(1).setOnAction(event -> add("add amount=" + (maximumLevel() + 1) / 2));
        bench.shownProperty().subscribe(this::render);
    }

    private MenuItem item(String words, String line) {
        MenuItem item = new MenuItem(words);
        item.setOnAction(event -> add(line));
        return item;
    }

    private int maximumLevel() {
        return bench.shown().after().map(Shown.Described::image).map(Image::maximumLevel).orElse(Image.BYTE_MAXIMUM);
    }

    private void add(String line) {
        bench.addStep(StepLine.parse(line));
    }

    private void render(Shown shown) {
        boolean isOpen = shown != null && shown.position() >= 0
                && shown.after().filter(described -> !described.image().isLevelImage()).isPresent();
        setVisible(isOpen);
        setManaged(isOpen);
    }
}
