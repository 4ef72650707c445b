package pixeron.app.window;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import javafx.animation.PauseTransition;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.SplitPane;
import javafx.scene.layout.StackPane;
import javafx.util.Duration;
import pixeron.app.bench.BenchView;
import pixeron.app.bench.steps.Shelf;
import pixeron.app.folder.OwnKernels;
import pixeron.app.model.Background;
import pixeron.app.model.Bench;
import pixeron.app.theme.Theme;
import pixeron.project.SavedProject;
import pixeron.project.View;
import pixeron.project.demo.DemoCases;

/**
 * Shows a small case on a second bench that nobody sees, piece by piece, while the opening view waits for the user.
 *
 * <p>The first time that a program styles, lays out and draws a kind of control costs many times what it costs later:
 * classes are loaded, style rules are matched, fonts are read. Paid here, that time is not missing when the first image
 * is opened or the first step is added. Each piece is a task of its own, so that the window goes on in between.
 */
final class Rehearsal {

    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    /** Time for what the user does between two pieces. */
    private static final Duration BREATH = Duration.millis(20);

    private final BooleanSupplier isWanted;
    private final Runnable end;
    private final Deque<Runnable> pieces = new ArrayDeque<>();
    private final StackPane stage = new StackPane();
    private final Background background = new Background();
    private final Bench bench = new Bench(background, problem -> { });

    /** @param isWanted false as soon as the user works; what is left then is omitted */
    private Rehearsal(BooleanSupplier isWanted, Runnable end) {
        this.isWanted = isWanted;
        this.end = end;
    }

    /**
     * Begins; returns at once.
     *
     * @param look the look that the bench will have
     * @param real the bench itself; it is styled last, as empty as it is
     * @param end runs after the last piece
     */
    static void start(Theme look, Node real, OwnKernels personal, BooleanSupplier isWanted, Runnable end) {
        Rehearsal rehearsal = new Rehearsal(isWanted, end);
        rehearsal.pieces.add(() -> rehearsal.plan(look, real, personal));
        rehearsal.next();
    }

    private void plan(Theme look, Node real, OwnKernels personal) {
        new Scene(stage, WIDTH, HEIGHT);
        Theme theme = new Theme(stage);
        theme.setDark(look.isDark());
        theme.setLarge(look.isLarge());
        SavedProject demo = DemoCases.all().get(0).saved();
        BenchView view = new BenchView(bench, personal, background, theme, new BenchView.Ways(image -> { }, take -> { }, take -> { }, (name, text) -> { },
                new Shelf.Ways(() -> { }, () -> { }, file -> { }, name -> { })));
        List<Node> side = List.of(view.getLeft());
        List<Node> sheetsAndBelow = List.copyOf(((SplitPane) view.getCenter()).getItems());
        List<Node> status = List.of(view.getBottom());
        // The image first, then a step with values by hand: so each costs its own time.
        pieces.add(() -> bench.open(new SavedProject(demo.project(), new View(-1, demo.view().picked())),
                Optional.empty(), true));
        pieces.add(() -> style(side));
        pieces.add(() -> bench.select(0));
        show(side);
        sheetsAndBelow.forEach(part -> show(List.of(part)));
        show(status);
        show(List.of(real));
    }

    private void show(List<Node> parts) {
        pieces.add(() -> style(parts));
        pieces.add(() -> stage.snapshot(null, null));
    }

    private void style(List<Node> parts) {
        stage.getChildren().setAll(parts);
        stage.applyCss();
        stage.layout();
    }

    private void next() {
        boolean isCalculating = bench.isOpen() && (bench.shown() == null
                || bench.shown().position() != bench.position());
        if (pieces.isEmpty()) {
            end.run();
        } else if (isWanted.getAsBoolean()) {
            if (!isCalculating) {
                pieces.removeFirst().run();
            }
            PauseTransition breath = new PauseTransition(BREATH);
            breath.setOnFinished(event -> next());
            breath.play();
        }
    }
}
