package pixeron.app;

import atlantafx.base.theme.PrimerLight;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.geometry.Rectangle2D;
import javafx.scene.Scene;
import javafx.stage.Screen;
import javafx.stage.Stage;
import org.slf4j.LoggerFactory;
import java.time.Duration;
import pixeron.PixeronException;
import pixeron.app.folder.UserFolder;
import pixeron.app.window.MainWindow;
import pixeron.app.window.PlatformDialogs;

/** The window's life: begins, asks before it ends. */
public final class PixeronApp extends Application {

    private static final Duration AUTOSAVE = Duration.ofSeconds(2);
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    private static final double LEAST_WIDTH = 900;
    private static final double LEAST_HEIGHT = 600;
    private static final double ROOMY_WIDTH = 1600;
    private static final double ROOMY_HEIGHT = 1000;
    /** Set by the launcher after a build, so that the virtual machine can write an archive of the classes loaded. */
    private static final boolean IS_REHEARSAL = Boolean.getBoolean("pixeron.rehearsal");

    @Override
    public void start(Stage stage) {
        Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
        UserFolder folder = UserFolder.of(System.getenv());
        System.setProperty("pixeron.log", folder.path("pixeron.log").toString());
        MainWindow window = new MainWindow(folder, new PlatformDialogs(stage), AUTOSAVE);
        Thread.currentThread().setUncaughtExceptionHandler((thread, problem) -> unexpected(window, problem));
        stage.setScene(new Scene(window, WIDTH, HEIGHT));
        stage.setTitle("Pixeron");
        stage.setOnCloseRequest(event -> {
            event.consume();
            window.askToClose(Platform::exit);
        });
        if (IS_REHEARSAL) {
            window.rehearse(Platform::exit);
            return;
        }
        // A window that is hardly smaller than the screen is shown at its smallest by some window managers; so it fills it.
        Rectangle2D screen = Screen.getPrimary().getVisualBounds();
        stage.setMaximized(screen.getWidth() < ROOMY_WIDTH || screen.getHeight() < ROOMY_HEIGHT);
        stage.show();
        // Said before it is shown, some window managers take the least size for the wanted one.
        stage.setMinWidth(LEAST_WIDTH);
        stage.setMinHeight(LEAST_HEIGHT);
        Platform.runLater(() -> window.started(getParameters().getRaw()));
    }

    private static void unexpected(MainWindow window, Throwable problem) {
        LoggerFactory.getLogger(PixeronApp.class).error("unexpected", problem);
        window.trouble(PixeronException.of("Something went wrong inside Pixeron; your work is kept. The log has the details."));
    }
}
