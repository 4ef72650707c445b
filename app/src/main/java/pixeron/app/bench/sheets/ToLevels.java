package pixeron.app.bench.sheets;

import java.util.function.Supplier;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.Tooltip;
import pixeron.app.bench.steps.StepAdded;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.image.Image;
import pixeron.step.Step;
import pixeron.step.point.Add;
import pixeron.step.point.OwnFormula;
import pixeron.step.point.Stretch;

/** Makes levels of an open result, such as a gradient with negative values: by a further step, not behind one's back. */
final class ToLevels extends MenuButton {

    private final Bench bench;

    ToLevels(Bench bench) {
        super("To levels");
        this.bench = bench;
        getStyleClass().add("quiet");
        setTooltip(new Tooltip("The result has values that are not levels. Add a step that converts them to levels."));
        getItems().addAll(item("Absolute value", () -> OwnFormula.of("abs(r)")),
                item("Add M ÷ 2", () -> Add.of((maximumLevel() + 1) / 2)),
                item("Stretch to 0–M", Stretch::plain));
        bench.shownProperty().subscribe(this::render);
    }

    /** @param step asked when it is chosen, because what it is depends on the image */
    private MenuItem item(String words, Supplier<Step> step) {
        MenuItem item = new MenuItem(words);
        item.setOnAction(event -> {
            bench.addStep(step.get());
            fireEvent(new StepAdded());
        });
        return item;
    }

    private int maximumLevel() {
        return bench.shown().after().map(Described::image).map(Image::maximumLevel).orElse(Image.BYTE_MAXIMUM);
    }

    private void render(Shown shown) {
        boolean isOpen = shown != null && shown.position() >= 0 && shown.seenAfter().filter(Seen::isSpectrum).isEmpty()
                && shown.after().filter(described -> !described.image().isLevelImage()).isPresent();
        setVisible(isOpen);
        setManaged(isOpen);
    }
}
