package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import javafx.scene.Scene;
import javafx.scene.layout.Pane;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.Mockito;
import pixeron.app.folder.WindowPlace;
import pixeron.app.window.MainWindow;

/** Where the window stands: where it stood, but never smaller than it can be read. */
class PlacingTest extends WindowTest {

    private final MainWindow remembering = Mockito.mock(MainWindow.class);
    private Stage other;

    private void begin(WindowPlace place) {
        Mockito.when(remembering.place()).thenReturn(Optional.of(place));
        interact(() -> {
            other = new Stage();
            other.setScene(new Scene(new Pane(), 300, 200));
            new Placing(other, remembering).begin();
            other.show();
        });
    }

    private void show(WindowPlace place) {
        begin(place);
        until(() -> other.getMinWidth() > 0);
    }

    @ParameterizedTest
    @CsvSource({"1000, 700, 1000, 700", "200, 800, 900, 800", "950, 120, 950, 600"})
    void aPlaceIsTakenAgain(int width, int height, double wide, double high) {
        show(new WindowPlace(20, 30, width, height, false));
        assertThat(other.getX()).isEqualTo(20);
        assertThat(other.getWidth()).isEqualTo(wide);
        assertThat(other.getHeight()).isEqualTo(high);
        interact(other::close);
    }

    /** As window managers of busy machines do it: late, when the window has had its size already. */
    @Test
    void aWindowThatIsMadeSmallWhileItIsPlacedGetsItsSizeAgain() {
        begin(new WindowPlace(20, 30, 1000, 700, false));
        until(() -> other.getWidth() == 1000);
        interact(() -> other.setWidth(200));
        until(() -> other.getWidth() == 1000);
        interact(() -> {
            other.setX(0);
            other.setHeight(1);
        });
        until(() -> other.getMinWidth() > 0);
        assertThat(new double[] {other.getX(), other.getWidth(), other.getHeight()}).containsExactly(20, 1000, 700);
        interact(other::close);
    }

    /** What is noted is what a user made of it, not sizes that it goes through when it is shown. */
    @Test
    void aPlaceIsNotedWhenItIsChanged() {
        WindowPlace before = new WindowPlace(20, 30, 1000, 700, false);
        show(before);
        Mockito.verify(remembering, Mockito.never()).setPlace(Mockito.argThat(place -> !place.equals(before)));
        interact(() -> {
            other.setWidth(1100);
            other.setX(40);
        });
        Mockito.verify(remembering).setPlace(new WindowPlace(40, 30, 1100, 700, false));
        interact(other::close);
    }
}
