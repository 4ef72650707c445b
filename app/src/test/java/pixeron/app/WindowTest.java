package pixeron.app;

import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BooleanSupplier;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Labeled;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import javafx.stage.Stage;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.Mockito;
import org.testfx.framework.junit5.ApplicationTest;
import org.testfx.util.WaitForAsyncUtils;
import pixeron.app.bench.BenchView;
import pixeron.app.folder.Settings;
import pixeron.app.folder.UserFolder;
import pixeron.app.model.Bench;
import pixeron.app.sheet.Sheet;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.window.Dialogs;
import pixeron.app.window.MainWindow;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.program.ProgramLimits;
import pixeron.project.Project;

/** The real window, drawn offscreen at 1280 × 800, with the platform's dialogs replaced. */
abstract class WindowTest extends ApplicationTest {

    /** Longer than anything takes on a machine on which much else runs: only what never ends is ended by it. */
    private static final int MOST_MINUTES = 5;
    private static final MainWindow.Pace PACE = new MainWindow.Pace(Duration.ofMillis(100), ProgramLimits.ofSeconds(MOST_MINUTES * 60));

    @TempDir
    protected Path folder;
    protected final Dialogs dialogs = Mockito.mock(Dialogs.class);
    protected MainWindow window;
    protected Stage stage;

    @Override
    public void start(Stage primary) {
        Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
        stage = primary;
        UserFolder user = new UserFolder(folder.resolve("data"));
        if (!isFirstStart()) {
            Settings.DEFAULT.withGuided().write(user);
        }
        window = new MainWindow(user, dialogs, PACE);
        stage.setScene(new Scene(window, 1280, 800));
        // Another test may have left the window at a size of its own.
        stage.sizeToScene();
        // The screen is a little larger than the window; beyond its edge nothing can be drawn.
        stage.setX(0);
        stage.setY(0);
        stage.show();
        window.started(List.of());
    }

    /** Returns whether this person never started the program before. */
    protected boolean isFirstStart() {
        return false;
    }

    protected Bench bench() {
        return window.bench();
    }

    protected Path write(String name, String text) {
        try {
            return Files.writeString(folder.resolve(name), text);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    /** Opens a file and waits until it is shown. */
    protected void open(Path file) {
        Project former = bench().project();
        interact(() -> window.started(List.of(file.toString())));
        until(() -> bench().project() != former && bench().shown() != null);
        settle();
    }

    protected void until(BooleanSupplier condition) {
        try {
            WaitForAsyncUtils.waitFor(MOST_MINUTES, TimeUnit.MINUTES, condition::getAsBoolean);
        } catch (TimeoutException never) {
            throw new AssertionError("it never came true", never);
        }
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Picks a pixel and waits until everything about it is shown. */
    protected void pick(int row, int column) {
        interact(() -> bench().pick(new Pixel(row, column)));
        settle();
    }

    /** Waits until what is shown is what the project is. */
    protected void settle() {
        WaitForAsyncUtils.waitForFxEvents();
        until(() -> bench().shown() != null && bench().shown().project() == bench().project()
                && bench().shown().position() == bench().position());
    }

    protected void clipboard(String text) {
        interact(() -> {
            ClipboardContent content = new ClipboardContent();
            content.putString(text);
            Clipboard.getSystemClipboard().setContent(content);
        });
    }

    protected Sheet sheet(String name) {
        return lookup((Sheet sheet) -> sheet.getAccessibleText().startsWith(name)).query();
    }

    /** Presses at one place of a sheet and lets go at another, both in rows and columns with fractions. */
    protected void dragOn(String sheet, double row, double column, double toRow, double toColumn) {
        drag(at(sheet, row, column)).moveTo(at(sheet, row + (toRow - row) / 2, column + (toColumn - column) / 2)).dropTo(at(sheet, toRow, toColumn));
        settle();
    }

    protected Point2D at(String sheet, double row, double column) {
        Sheet found = sheet(sheet);
        Viewport viewport = ((BenchView) lookup(".bench").query()).sheets().viewport();
        double cell = viewport.cell();
        // A sheet begins with its row numbers and column numbers.
        return found.localToScreen(found.getWidth() - 1 - viewport.across() * cell + (column - viewport.left()) * cell,
                found.getHeight() - 1 - viewport.down() * cell + (row - viewport.top()) * cell);
    }

    protected Image after() {
        return bench().shown().after().orElseThrow().image();
    }

    /** Returns whether a user can see a node: it and all around it is visible, has a size, and is not scrolled or cut away. */
    protected static boolean canBeSeen(Node node) {
        Bounds seen = node.localToScene(node.getLayoutBounds());
        if (node.getScene() == null || seen.getWidth() <= 0 || seen.getHeight() <= 0) {
            return false;
        }
        Bounds all = new BoundingBox(0, 0, node.getScene().getWidth(), node.getScene().getHeight());
        for (Node at = node; at != null; at = at.getParent()) {
            boolean isCut = at.getClip() != null && !at.localToScene(at.getClip().getBoundsInParent()).intersects(seen);
            if (!at.isVisible() || at.getOpacity() == 0 || isCut) {
                return false;
            }
        }
        return seen.intersects(all);
    }

    /** Returns the nodes of a kind that a user can see now, in the order of the scene; what is hidden is not gone into. */
    protected <T extends Node> List<T> seen(Class<T> kind) {
        List<T> found = new ArrayList<>();
        interact(() -> addSeen(kind, stage.getScene().getRoot(), found));
        return found;
    }

    private static <T extends Node> void addSeen(Class<T> kind, Node node, List<T> found) {
        if (!node.isVisible() || node.getOpacity() == 0) {
            return;
        }
        if (kind.isInstance(node) && canBeSeen(node)) {
            found.add(kind.cast(node));
        }
        if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> addSeen(kind, child, found));
        }
    }

    /** What is new has its place only after the next frame, which comes late on a busy machine. */
    protected static void awaitFrames() {
        if (Platform.isFxApplicationThread()) {
            return;
        }
        CountDownLatch frames = new CountDownLatch(2);
        AnimationTimer timer = new AnimationTimer() {
            @Override
            public void handle(long now) {
                frames.countDown();
            }
        };
        WaitForAsyncUtils.asyncFx(timer::start);
        try {
            frames.await(MOST_MINUTES, TimeUnit.MINUTES);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
        WaitForAsyncUtils.asyncFx(timer::stop);
    }

    /** Returns all text that a user can see now. */
    protected String shownText() {
        awaitFrames();
        StringBuilder text = new StringBuilder();
        for (TextFlow flow : seen(TextFlow.class)) {
            flow.getChildren().forEach(part -> text.append(((Text) part).getText()));
            text.append('\n');
        }
        seen(Labeled.class).forEach(label -> text.append(label.getText()).append('\n'));
        return text.toString().replace('\u00A0', ' ');
    }
}
