package pixeron.app.bench.steps;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.css.PseudoClass;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.DragEvent;
import javafx.scene.input.Dragboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.VBox;
import pixeron.PixeronException;
import pixeron.app.model.Bench;
import pixeron.app.model.Shown;
import pixeron.chain.Chain;
import pixeron.chain.Link;
import pixeron.project.Project;

/**
 * The steps, one under the other, the image first. Click or arrows select, dragging or Alt with the arrows moves, Space
 * switches on and off, Ctrl+D duplicates, Delete deletes.
 */
public final class StepList extends VBox {

    private static final PseudoClass TARGET = PseudoClass.getPseudoClass("target");
    private static final KeyCombination DUPLICATE = new KeyCodeCombination(KeyCode.D, KeyCombination.SHORTCUT_DOWN);
    private static final String DRAGGED = "pixeron-step:";

    private final Bench bench;
    private final Consumer<String> trouble;

    /**
     * Creates the list of the steps of the chain.
     *
     * @param trouble told in one line why steps stay as they are
     */
    public StepList(Bench bench, Consumer<String> trouble) {
        this.bench = bench;
        this.trouble = trouble;
        getStyleClass().add("step-list");
        bench.projectProperty().subscribe(project -> {
            if (project != null) {
                showProject(project);
            }
        });
        bench.positionProperty().subscribe(position -> showSelection());
        bench.shownProperty().subscribe(shown -> {
            if (shown != null) {
                showOutcomes(shown);
            }
        });
        bench.looking().hintsProperty().subscribe(taken -> {
            if (bench.shown() != null) {
                showOutcomes(bench.shown());
            }
        });
    }

    private void showProject(Project project) {
        List<Link> links = project.chain().links();
        boolean hadFocus = getChildren().stream().anyMatch(row -> row.isFocused());
        while (getChildren().size() > links.size() + 1) {
            getChildren().remove(getChildren().size() - 1);
        }
        while (getChildren().size() < links.size() + 1) {
            getChildren().add(row(getChildren().size() - 1));
        }
        row(0, project);
        for (int n = 0; n < links.size(); n++) {
            ((StepRow) getChildren().get(n + 1)).showStep(links.get(n).step(), links.get(n).isOn());
        }
        showSelection();
        if (hadFocus) {
            getChildren().get(bench.position() + 1).requestFocus();
        }
    }

    /** Gives the keyboard to the row of the selected step. */
    public void focusSelected() {
        getChildren().get(bench.position() + 1).requestFocus();
    }

    private void row(int index, Project project) {
        ((StepRow) getChildren().get(index)).showImage(project);
    }

    private void showSelection() {
        getChildren().forEach(row -> ((StepRow) row).setSelected(((StepRow) row).position() == bench.position()));
    }

    private void showOutcomes(Shown shown) {
        // A newer project may have other steps already; its own results come in a moment.
        for (int n = 0; n < Math.min(shown.steps().size(), getChildren().size() - 1); n++) {
            ((StepRow) getChildren().get(n + 1)).showOutcome(shown.steps().get(n), !bench.looking().isAlone());
        }
    }

    private StepRow row(int position) {
        StepRow row = new StepRow(position);
        row.setOnMouseClicked(event -> {
            if (event.getButton() == MouseButton.PRIMARY) {
                bench.select(position);
                row.requestFocus();
            }
        });
        row.setOnKeyPressed(event -> keyPressed(event, position));
        row.setOnKeyTyped(event -> keyTyped(event, position));
        row.setOnContextMenuRequested(event -> {
            if (position >= 0) {
                bench.select(position);
                menu(position).show(row, event.getScreenX(), event.getScreenY());
            }
        });
        if (position >= 0) {
            row.setOnDragDetected(event -> {
                Dragboard board = row.startDragAndDrop(TransferMode.MOVE);
                ClipboardContent content = new ClipboardContent();
                content.putString(DRAGGED + position);
                board.setContent(content);
                board.setDragView(row.snapshot(null, null));
                event.consume();
            });
        }
        row.setOnDragOver(event -> dragOver(event, row));
        row.setOnDragExited(event -> row.pseudoClassStateChanged(TARGET, false));
        row.setOnDragDropped(event -> dropped(event, position));
        return row;
    }

    private static void dragOver(DragEvent event, StepRow row) {
        if (dragged(event) >= 0) {
            event.acceptTransferModes(TransferMode.MOVE);
            row.pseudoClassStateChanged(TARGET, true);
            event.consume();
        }
    }

    private void dropped(DragEvent event, int position) {
        int from = dragged(event);
        if (from >= 0 && from < bench.project().chain().size()) {
            move(from, Math.max(0, from > position ? position + (position < 0 ? 1 : 0) : position));
            event.setDropCompleted(true);
            event.consume();
        }
    }

    private static int dragged(DragEvent event) {
        String text = event.getDragboard().getString();
        return text != null && text.startsWith(DRAGGED) ? Integer.parseInt(text.substring(DRAGGED.length())) : -1;
    }

    private void keyPressed(KeyEvent event, int position) {
        boolean isStep = position >= 0;
        if (event.isAltDown() && event.getCode() == KeyCode.UP && isStep) {
            move(position, position - 1);
        } else if (event.isAltDown() && event.getCode() == KeyCode.DOWN && isStep) {
            move(position, position + 1);
        } else if (event.getCode() == KeyCode.UP) {
            focus(position - 1);
        } else if (event.getCode() == KeyCode.DOWN) {
            focus(position + 1);
        } else if (event.getCode() == KeyCode.SPACE && isStep) {
            switchOnOff(position);
        } else if (event.getCode() == KeyCode.DELETE && isStep) {
            delete(position);
        } else if (DUPLICATE.match(event) && isStep) {
            duplicate(position);
        } else {
            return;
        }
        event.consume();
    }

    /** When the letter is typed, not when its key goes down: the field that has the keyboard next would take the letter. */
    private void keyTyped(KeyEvent event, int position) {
        if (event.getCharacter().equalsIgnoreCase("b") && position >= 0) {
            branch(position);
            event.consume();
        }
    }

    private void focus(int position) {
        if (position >= -1 && position < getChildren().size() - 1) {
            bench.select(position);
            getChildren().get(position + 1).requestFocus();
        }
    }

    private void move(int from, int to) {
        if (to >= 0 && to < bench.project().chain().size() && from != to) {
            edit(to, chain -> chain.moved(from, to));
        }
    }

    /** Steps that other steps refer to stay before them, and stay. */
    private void edit(int newPosition, UnaryOperator<Chain> change) {
        try {
            bench.editChain(newPosition, change);
        } catch (PixeronException problem) {
            trouble.accept(problem.getMessage());
        }
    }

    private void switchOnOff(int position) {
        bench.editChain(position, chain -> chain.switched(position, !chain.stage(position).link().isOn()));
    }

    private void duplicate(int position) {
        bench.editChain(position + 1, chain -> chain.duplicated(position));
        fireEvent(new StepAdded());
    }

    private void branch(int position) {
        bench.edit(project -> project.branched(position));
        fireEvent(new StepAdded());
    }

    private void delete(int position) {
        edit(position - 1 < 0 && bench.project().chain().size() > 1 ? 0 : position - 1,
                chain -> chain.removed(position));
    }

    /** Returns what can be done with a step, each with its key. */
    ContextMenu menu(int position) {
        boolean isOn = bench.project().chain().stage(position).link().isOn();
        return new ContextMenu(
                item(isOn ? "Switch off" : "Switch on", "Space", () -> switchOnOff(position)),
                item("Duplicate", "Ctrl+D", () -> duplicate(position)),
                item("Start branch after this step", "B", () -> branch(position)),
                item("Move up", "Alt+Up", () -> move(position, position - 1)),
                item("Move down", "Alt+Down", () -> move(position, position + 1)),
                item("Delete", "Delete", () -> delete(position)));
    }

    private static MenuItem item(String text, String key, Runnable action) {
        MenuItem item = new MenuItem(text);
        item.setAccelerator(KeyCombination.valueOf(key));
        item.setOnAction(event -> action.run());
        return item;
    }
}
