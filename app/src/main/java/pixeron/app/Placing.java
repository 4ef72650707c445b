package pixeron.app;

import java.util.Optional;
import javafx.geometry.Rectangle2D;
import javafx.stage.Screen;
import javafx.stage.Stage;
import pixeron.app.folder.WindowPlace;
import pixeron.app.window.MainWindow;

/** Puts the window where it was last time, and remembers where it is while it is moved. */
final class Placing {

    private static final double ROOMY_WIDTH = 1600;
    private static final double ROOMY_HEIGHT = 1000;

    private final Stage stage;
    private final MainWindow window;
    /** Where it stands when it does not fill its screen. */
    private WindowPlace free;

    Placing(Stage stage, MainWindow window) {
        this.stage = stage;
        this.window = window;
    }

    /** Before the window is shown. */
    void begin() {
        Optional<WindowPlace> last = window.place().filter(Placing::isReachable);
        last.ifPresent(place -> {
            free = place;
            stage.setX(place.x());
            stage.setY(place.y());
            stage.setWidth(place.width());
            stage.setHeight(place.height());
        });
        // A window that is hardly smaller than the screen is shown at its smallest by some window managers; so it fills it.
        Rectangle2D screen = Screen.getPrimary().getVisualBounds();
        stage.setMaximized(last.map(WindowPlace::isFilling)
                .orElse(screen.getWidth() < ROOMY_WIDTH || screen.getHeight() < ROOMY_HEIGHT));
        stage.setOnShown(shown -> {
            stage.xProperty().subscribe(this::note);
            stage.yProperty().subscribe(this::note);
            stage.widthProperty().subscribe(this::note);
            stage.heightProperty().subscribe(this::note);
            stage.maximizedProperty().subscribe(this::note);
        });
    }

    private static boolean isReachable(WindowPlace place) {
        return Screen.getScreens().stream().map(Screen::getVisualBounds)
                .anyMatch(screen -> place.isOn(screen.getMinX(), screen.getMinY(), screen.getMaxX(), screen.getMaxY()));
    }

    private void note() {
        boolean isFilling = stage.isMaximized();
        if (!isFilling || free == null) {
            free = new WindowPlace((int) Math.round(stage.getX()), (int) Math.round(stage.getY()), (int) Math.round(stage.getWidth()),
                    (int) Math.round(stage.getHeight()), false);
        }
        window.setPlace(new WindowPlace(free.x(), free.y(), free.width(), free.height(), isFilling));
    }
}
