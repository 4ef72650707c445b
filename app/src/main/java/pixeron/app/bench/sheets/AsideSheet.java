package pixeron.app.bench.sheets;

import java.util.Optional;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Shown;
import pixeron.step.Operation;

/**
 * A sheet that the step calculates on the way, such as the mean of each pixel's window: shown in the place of After while
 * its button is pressed, and calculated only then.
 */
final class AsideSheet {

    private final Bench bench;
    private final Runnable changed;
    private final Background background = new Background();
    private final ToggleButton button = new ToggleButton();
    private Shown madeFor;
    private Optional<Described> sheet = Optional.empty();

    /** @param changed runs when there is another sheet, or none any more */
    AsideSheet(Bench bench, Runnable changed) {
        this.bench = bench;
        this.changed = changed;
        button.getStyleClass().add("quiet");
        button.setTooltip(new Tooltip("Show the intermediate result instead"));
        button.selectedProperty().subscribe(isOn -> request());
        bench.shownProperty().subscribe(shown -> request());
    }

    ToggleButton button() {
        return button;
    }

    private Optional<Operation> operation() {
        return bench.shown() == null ? Optional.empty() : bench.shown().operation().filter(operation -> !operation.sheetNames().isEmpty());
    }

    private void request() {
        Optional<Operation> operation = operation();
        button.setVisible(operation.isPresent());
        button.setManaged(operation.isPresent());
        Shown shown = bench.shown();
        if (operation.isEmpty() || !button.isSelected()) {
            background.cancel();
            boolean wasShown = sheet.isPresent();
            sheet = Optional.empty();
            madeFor = null;
            operation.ifPresent(found -> button.setText(found.sheetNames().get(0)));
            if (wasShown) {
                changed.run();
            }
        } else if (madeFor != shown) {
            String name = operation.get().sheetNames().get(0);
            background.start(progress -> Described.of(operation.get().sheet(name, progress)), made -> {
                sheet = Optional.of(made);
                madeFor = shown;
                changed.run();
            }, problem -> button.setSelected(false));
        }
    }

    /** Returns what is in the place of After now, if it is not After itself. */
    Optional<Described> sheet() {
        return madeFor == bench.shown() ? sheet : Optional.empty();
    }
}
