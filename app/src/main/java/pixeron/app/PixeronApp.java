package pixeron.app;

import atlantafx.base.theme.PrimerLight;
import java.time.Duration;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.image.Image;
import javafx.stage.Stage;
import org.slf4j.LoggerFactory;
import pixeron.PixeronException;
import pixeron.app.folder.UserFolder;
import pixeron.app.window.MainWindow;
import pixeron.app.window.PlatformDialogs;
import pixeron.program.ProgramLimits;

/** The window's life: begins, asks before it ends. */
public final class PixeronApp extends Application {

    private static final int PROGRAM_SECONDS = 10;
    private static final MainWindow.Pace PACE = new MainWindow.Pace(Duration.ofSeconds(1), ProgramLimits.ofSeconds(PROGRAM_SECONDS));
    /** By then a window has been drawn. */
    private static final javafx.util.Duration MOMENT = javafx.util.Duration.millis(500);
    /** Set by the launcher after a build, so that the virtual machine can write an archive of the classes loaded. */
    private static final boolean IS_REHEARSAL = Boolean.getBoolean("pixeron.rehearsal");

    @Override
    public void start(Stage stage) {
        Application.setUserAgentStylesheet(new PrimerLight().getUserAgentStylesheet());
        UserFolder folder = UserFolder.of(System.getenv());
        Optional<PixeronException> noFolder = log(folder);
        MainWindow window = new MainWindow(folder, new PlatformDialogs(stage), PACE);
        Thread.currentThread().setUncaughtExceptionHandler((thread, problem) -> unexpected(window, problem));
        stage.setScene(new Scene(window, Placing.WIDTH, Placing.HEIGHT));
        stage.setTitle("Pixeron");
        stage.setOnCloseRequest(event -> {
            event.consume();
            window.askToClose(Platform::exit);
        });
        if (IS_REHEARSAL) {
            window.rehearse(() -> showUnseen(stage, window));
            return;
        }
        show(stage, window);
        Platform.runLater(() -> {
            window.started(getParameters().getRaw());
            noFolder.ifPresent(window::trouble);
        });
    }

    private static void show(Stage stage, MainWindow window) {
        new Placing(stage, window).begin();
        stage.show();
        // Decoding it takes longer than anybody needs to look at the title bar.
        Platform.runLater(() -> stage.getIcons().add(new Image(PixeronApp.class.getResource("/pixeron/app/icon.png").toExternalForm())));
    }

    /** What puts a window on the screen belongs to what a start needs: it is there for a moment, and one looks through it. */
    private static void showUnseen(Stage stage, MainWindow window) {
        // Where nothing lets one look through windows it is seen; nobody should take it for the one that comes after.
        stage.setTitle("Pixeron is starting");
        stage.setOpacity(0);
        show(stage, window);
        PauseTransition moment = new PauseTransition(MOMENT);
        moment.setOnFinished(drawn -> Platform.exit());
        moment.play();
    }

    /** Returns why there can be no log where it belongs, nor anything else that is kept there. */
    private static Optional<PixeronException> log(UserFolder folder) {
        try {
            System.setProperty("pixeron.log", folder.path("pixeron.log").toString());
            return Optional.empty();
        } catch (PixeronException noFolder) {
            return Optional.of(noFolder);
        }
    }

    private static void unexpected(MainWindow window, Throwable problem) {
        LoggerFactory.getLogger(PixeronApp.class).error("unexpected", problem);
        window.trouble(PixeronException.of("Internal error in Pixeron. Your work is saved. See the log for details."));
    }
}
