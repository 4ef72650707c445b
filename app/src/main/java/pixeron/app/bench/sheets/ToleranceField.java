package pixeron.app.bench.sheets;

import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import pixeron.PixeronException;
import pixeron.app.model.Bench;
import pixeron.app.model.Shown;
import pixeron.app.model.Target;
import pixeron.number.Decimals;
import pixeron.number.Rational;

/** How far a value by hand may be off and still agree; empty: by the decimals that were written. */
final class ToleranceField extends TextField {

    private static final PseudoClass WRONG = PseudoClass.getPseudoClass("wrong");
    private static final String RULE =
            "Values within ± this distance agree. Empty: values must match at the number of decimals that you wrote.";

    private final Bench bench;
    private Target target;
    private final Tooltip tooltip = new Tooltip(RULE);

    ToleranceField(Bench bench) {
        this.bench = bench;
        getStyleClass().add("tolerance");
        setPromptText("± 0");
        setAccessibleText("Tolerance. " + RULE);
        setTooltip(tooltip);
        setOnAction(event -> take());
        focusedProperty().subscribe(isFocused -> {
            if (isFocused) {
                target = bench.hand().target();
            } else {
                take();
            }
        });
        bench.shownProperty().subscribe(this::render);
    }

    private void render(Shown shown) {
        if (shown != null && !isFocused()) {
            setText(shown.sheet().tolerance().map(Decimals::print).orElse(""));
            setProblem("");
        }
    }

    private void take() {
        if (bench.shown() == null || target == null || target.id() == 0) {
            return;
        }
        try {
            String text = getText().replace("±", "").strip();
            Optional<Rational> allowed = text.isEmpty() ? Optional.empty() : Optional.of(Decimals.parse(text));
            bench.hand().edit(target, sheet -> sheet.withTolerance(allowed));
            setProblem("");
        } catch (PixeronException notAllowed) {
            setProblem(notAllowed.getMessage());
        }
    }

    private void setProblem(String problem) {
        pseudoClassStateChanged(WRONG, !problem.isEmpty());
        tooltip.setText(problem.isEmpty() ? RULE : problem);
    }
}
