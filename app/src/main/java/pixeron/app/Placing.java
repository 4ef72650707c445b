package pixeron.app;

import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.geometry.Rectangle2D;
import javafx.stage.Screen;
import javafx.stage.Stage;
import javafx.util.Duration;
import pixeron.app.folder.WindowPlace;
import pixeron.app.window.MainWindow;

/** Puts the window where it was last time, and remembers where it is while it is moved. */
final class Placing {

    private static final double ROOMY_WIDTH = 1600;
    private static final double ROOMY_HEIGHT = 1000;

    private static final double LEAST_WIDTH = 900;
    private static final double LEAST_HEIGHT = 600;
    /** How large the window is the first time, where it does not fill its screen. */
    static final double WIDTH = 1280;
    static final double HEIGHT = 800;
    private static final Duration BETWEEN_LOOKS = Duration.millis(50);
    /** So often in a row it is found as it should be before it counts as placed: three seconds. */
    private static final int LOOKS_AT_REST = 60;

    private final Stage stage;
    private final MainWindow window;
    /** Where it stands when it does not fill its screen. */
    private WindowPlace free;
    private int looksAtRest;

    Placing(Stage stage, MainWindow window) {
        this.stage = stage;
        this.window = window;
    }

    /** Before the window is shown. */
    void begin() {
        Optional<WindowPlace> last = window.place().filter(Placing::isReachable);
        last.ifPresent(place -> {
            free = place;
            take(place);
        });
        Rectangle2D screen = Screen.getPrimary().getVisualBounds();
        stage.setMaximized(last.map(WindowPlace::isFilling)
                .orElse(screen.getWidth() < ROOMY_WIDTH || screen.getHeight() < ROOMY_HEIGHT));
        WindowPlace wanted = last.orElseGet(() -> new WindowPlace((int) (screen.getMinX() + (screen.getWidth() - WIDTH) / 2),
                (int) (screen.getMinY() + (screen.getHeight() - HEIGHT) / 2), (int) WIDTH, (int) HEIGHT, false));
        // One look after the other: where the first drawing takes long, looks at fixed times would all come at once behind it.
        PauseTransition pause = new PauseTransition(BETWEEN_LOOKS);
        pause.setOnFinished(looked -> {
            if (settles(wanted)) {
                placed();
            } else {
                pause.playFromStart();
            }
        });
        stage.setOnShown(shown -> pause.play());
    }

    private void take(WindowPlace place) {
        stage.setX(place.x());
        stage.setY(place.y());
        stage.setWidth(Math.max(LEAST_WIDTH, place.width()));
        stage.setHeight(Math.max(LEAST_HEIGHT, place.height()));
    }

    /**
     * Some window managers show a window as small as can be, whatever size it was given before, and on a busy machine they do so late: it gets its
     * size again until it keeps it.
     *
     * @return whether it has kept it
     */
    private boolean settles(WindowPlace wanted) {
        if (!stage.isMaximized() && isTooSmall()) {
            take(wanted);
            looksAtRest = 0;
        }
        looksAtRest++;
        return looksAtRest >= LOOKS_AT_REST;
    }

    /** Said earlier, some window managers take the smallest size for the wanted one; and sizes that nobody gave the window are gone through until then. */
    private void placed() {
        stage.setMinWidth(LEAST_WIDTH);
        stage.setMinHeight(LEAST_HEIGHT);
        stage.xProperty().subscribe(this::note);
        stage.yProperty().subscribe(this::note);
        stage.widthProperty().subscribe(this::note);
        stage.heightProperty().subscribe(this::note);
        stage.maximizedProperty().subscribe(this::note);
        if (free != null) {
            // A user may have moved it by then.
            note();
        }
    }

    private boolean isTooSmall() {
        return stage.getWidth() < LEAST_WIDTH || stage.getHeight() < LEAST_HEIGHT;
    }

    private static boolean isReachable(WindowPlace place) {
        return Screen.getScreens().stream().map(Screen::getVisualBounds)
                .anyMatch(screen -> place.isOn(screen.getMinX(), screen.getMinY(), screen.getMaxX(), screen.getMaxY()));
    }

    private void note() {
        boolean isFilling = stage.isMaximized();
        if (isTooSmall()) {
            // From one state to the other it goes through such sizes as well.
            return;
        }
        if (!isFilling || free == null) {
            free = new WindowPlace((int) Math.round(stage.getX()), (int) Math.round(stage.getY()), (int) Math.round(stage.getWidth()),
                    (int) Math.round(stage.getHeight()), false);
        }
        window.setPlace(new WindowPlace(free.x(), free.y(), free.width(), free.height(), isFilling));
    }
}
