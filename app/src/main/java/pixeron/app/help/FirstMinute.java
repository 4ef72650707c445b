package pixeron.app.help;

import java.util.List;
import javafx.beans.value.ObservableValue;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import pixeron.app.bench.parts.Section;
import pixeron.app.model.Bench;
import pixeron.byhand.HandSheet;
import pixeron.image.Pixel;
import pixeron.image.Result;

/**
 * The three things to do, beside the bench and never over it: pick a pixel, write a value, ask for the slip. Each gets its tick when
 * it is done, in whatever order.
 */
public final class FirstMinute extends VBox {

    private final List<Task> tasks = List.of(new Task("1", "Pick a pixel: click it on a sheet, or use the arrow keys."),
            new Task("2", "Calculate its new value, type it into By hand, and press Enter."),
            new Task("3", "Open Slips to see what explains differing values."));
    private final Label end = new Label("Done. F1 explains the focused control, Ctrl+F finds everything, Ctrl+W shows the other cases.");
    private final Button close = new Button("Skip");
    private final Pixel picked;
    private final HandSheet written;
    private final Result input;
    private final Bench bench;
    private Subscription watching = Subscription.EMPTY;

    /**
     * Creates the three tips of the quick start.
     *
     * @param bench on which a case is open
     * @param areSlipsShown whether the user looks at the slips
     * @param closed runs when the user wants it away
     */
    public FirstMinute(Bench bench, ObservableValue<Boolean> areSlipsShown, Runnable closed) {
        this.bench = bench;
        picked = bench.pickedProperty().get();
        written = sheet();
        input = bench.project().chain().input();
        getStyleClass().add("first-minute");
        // As wide as the steps above it, however long its lines are.
        setPrefWidth(0);
        setMinWidth(0);
        Label title = Section.of("Quick start");
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        close.getStyleClass().add("quiet");
        close.setTooltip(new Tooltip("Hide these tips. To see them again, choose Help > Quick start."));
        close.setOnAction(event -> end(closed));
        HBox head = new HBox(title, space, close);
        head.getStyleClass().add("first-head");
        end.setWrapText(true);
        end.setMinHeight(USE_PREF_SIZE);
        end.getStyleClass().add("first-end");
        end.setVisible(false);
        end.managedProperty().bind(end.visibleProperty());
        getChildren().add(head);
        getChildren().addAll(tasks);
        getChildren().add(end);
        watching = Subscription.combine(bench.pickedProperty().subscribe(pixel -> look(0, !pixel.equals(picked))),
                bench.projectProperty().subscribe(project -> {
                    if (project.chain().input() != input) {
                        // Another case: who opens one needs no guide any more.
                        end(closed);
                    }
                    look(1, !sheet().equals(written));
                }),
                areSlipsShown.subscribe(areShown -> look(2, areShown)));
    }

    private void end(Runnable closed) {
        watching.unsubscribe();
        closed.run();
    }

    private HandSheet sheet() {
        return bench.project() == null || bench.position() < 0 || bench.position() >= bench.project().chain().size() ? HandSheet.EMPTY
                : bench.project().sheet(bench.position());
    }

    private void look(int task, boolean isDone) {
        if (isDone) {
            tasks.get(task).done();
        }
        tasks.forEach(each -> each.setNext(false));
        tasks.stream().filter(each -> !each.isDone).findFirst().ifPresentOrElse(next -> next.setNext(true), () -> {
            end.setVisible(true);
            close.setText("Close");
        });
    }

    /** A line with its number, or a tick in its place. */
    private static final class Task extends HBox {

        private static final double GAP = 12;

        private final Label mark;
        private final Label words;
        private boolean isDone;

        Task(String number, String text) {
            mark = new Label(number);
            words = new Label(text);
            mark.getStyleClass().add("first-mark");
            mark.setMinWidth(USE_PREF_SIZE);
            words.setWrapText(true);
            words.getStyleClass().add("first-words");
            words.setMinHeight(USE_PREF_SIZE);
            // Told how wide it is, a text knows how many lines it needs.
            words.prefWidthProperty().bind(widthProperty().subtract(mark.widthProperty()).subtract(GAP));
            getStyleClass().add("first-task");
            setAccessibleRole(AccessibleRole.TEXT);
            setAccessibleText(number + ". " + text);
            getChildren().addAll(mark, words);
        }

        void done() {
            isDone = true;
            mark.setText("✓");
            getStyleClass().add("done");
            setAccessibleText("Done: " + words.getText());
        }

        void setNext(boolean isNext) {
            getStyleClass().remove("next");
            if (isNext) {
                getStyleClass().add("next");
            }
        }
    }
}
