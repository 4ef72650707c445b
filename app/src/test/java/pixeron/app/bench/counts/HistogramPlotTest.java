package pixeron.app.bench.counts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.event.Event;
import javafx.scene.Scene;
import javafx.scene.image.PixelReader;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.framework.junit5.ApplicationTest;
import pixeron.app.model.Search;
import pixeron.app.theme.Theme;
import pixeron.image.Histogram;
import pixeron.image.Image;

/** How tall the bars of counts are, where they stand and what is picked on them, in the light, the dark and the large theme. */
class HistogramPlotTest extends ApplicationTest {

    private static final int WIDTH = 320;
    private static final int HEIGHT = 132;
    /** 4, 2, 1, 0, 1, 0, 0, 0 pixels of the levels 0 to 7. */
    private static final Histogram COUNTS = Histogram.of(Image.of(7, new int[][] {{0, 0, 0, 0}, {1, 1, 2, 4}}));
    private static final Histogram MANY = Histogram.of(Image.ofLevels(10, 30, 255, n -> n < 200 ? 10 : 200));
    private static final HistogramPlot.Style PLAIN = new HistogramPlot.Style(1, false, false);

    private final List<String> said = new ArrayList<>();
    private Theme theme;
    private HistogramPlot plot;

    @Override
    public void start(Stage stage) {
        StackPane root = new StackPane();
        stage.setScene(new Scene(root, WIDTH, HEIGHT));
        // Another test may have left the window at a size of its own.
        stage.sizeToScene();
        theme = new Theme(root);
        theme.loadNumbers();
        plot = new HistogramPlot(theme, bin -> said.add("over " + bin), (bin, isAfter) -> said.add("picked " + bin
                + (isAfter ? " of after" : "")));
        root.getChildren().add(plot);
        stage.show();
    }

    private PixelReader shown(Optional<Histogram> before, Optional<Histogram> after, HistogramPlot.Style style, Optional<Search> lit) {
        PixelReader[] reader = new PixelReader[1];
        interact(() -> {
            plot.show(before, after, style, lit);
            reader[0] = plot.snapshot(null, null).getPixelReader();
        });
        return reader[0];
    }

    /** Returns how many pixels of a column on the screen have the color. */
    private static int tall(PixelReader reader, double x, Color color) {
        int tall = 0;
        for (int y = 0; y < HEIGHT - 20; y++) {
            Color found = reader.getColor((int) x, y);
            tall += Math.abs(found.getRed() - color.getRed()) + Math.abs(found.getGreen() - color.getGreen())
                    + Math.abs(found.getBlue() - color.getBlue()) < 0.02 ? 1 : 0;
        }
        return tall;
    }

    /** Eight slots of 40; the bar of Before from 0.08 to 0.48 of a slot, that of After from 0.52. */
    @Test
    void fewBarsStandSideBySideAsTallAsTheirCounts() {
        for (boolean[] look : new boolean[][] {{false, false}, {true, false}, {false, true}}) {
            interact(() -> {
                theme.setDark(look[0]);
                theme.setLarge(look[1]);
            });
            PixelReader reader = shown(Optional.of(COUNTS), Optional.of(COUNTS), PLAIN, Optional.empty());
            double most = tall(reader, 8, theme.palette().before());
            assertThat(most).as("the tallest reaches to the top").isEqualTo(100, within(3.0));
            assertThat(tall(reader, 48, theme.palette().before()) / most).isEqualTo(0.5, within(0.02));
            assertThat(tall(reader, 88, theme.palette().before()) / most).isEqualTo(0.25, within(0.02));
            assertThat(tall(reader, 128, theme.palette().before())).as("none of level 3").isZero();
            assertThat(tall(reader, 24, theme.palette().after()) / most).isEqualTo(1, within(0.02));
            assertThat(tall(reader, 24, theme.palette().before())).as("the other bar is another color").isZero();
        }
    }

    @Test
    void logarithmsAndWiderBinsAreDrawnAsTheyAreCounted() {
        PixelReader reader = shown(Optional.of(COUNTS), Optional.empty(), new HistogramPlot.Style(1, true, false), Optional.empty());
        // ln 2 ÷ ln 5 of one pixel against four.
        assertThat(tall(reader, 88, theme.palette().before()) / (double) tall(reader, 8, theme.palette().before()))
                .isEqualTo(Math.log(2) / Math.log(5), within(0.02));
        // Levels 0 and 1 together are six, 2 and 3 one, 4 and 5 one.
        PixelReader wide = shown(Optional.of(COUNTS), Optional.empty(), new HistogramPlot.Style(2, false, false), Optional.empty());
        assertThat(tall(wide, 96, theme.palette().before()) / (double) tall(wide, 16, theme.palette().before()))
                .isEqualTo(1 / 6.0, within(0.02));
    }

    @Test
    void whatIsLitIsUnderlinedAndTheRunningCountEndsAtTheTop() {
        Color lit = theme.palette().picked();
        PixelReader reader = shown(Optional.of(COUNTS), Optional.empty(), PLAIN, Optional.of(new Search.Levels(false, 2, 3)));
        assertThat(reader.getColor(100, HEIGHT - 18)).isEqualTo(lit);
        assertThat(reader.getColor(140, HEIGHT - 18)).isEqualTo(lit);
        assertThat(reader.getColor(60, HEIGHT - 18)).isNotEqualTo(lit);
        PixelReader running = shown(Optional.of(COUNTS), Optional.empty(), new HistogramPlot.Style(1, false, true), Optional.empty());
        PixelReader plain = shown(Optional.of(COUNTS), Optional.empty(), PLAIN, Optional.empty());
        assertThat(running.getArgb(310, 12)).as("all pixels at the last level").isNotEqualTo(plain.getArgb(310, 12));
        assertThat(running.getArgb(70, 37)).as("6 of 8 at level 1").isNotEqualTo(plain.getArgb(70, 37));
    }

    private void mouse(javafx.event.EventType<MouseEvent> type, double x) {
        interact(() -> Event.fireEvent(plot, new MouseEvent(type, x, 50, x, 50, MouseButton.PRIMARY, 1, false, false, false, false,
                true, false, false, true, false, true, null)));
    }

    @Test
    void aBarIsPointedAtAndPicked() {
        shown(Optional.of(COUNTS), Optional.of(COUNTS), PLAIN, Optional.empty());
        mouse(MouseEvent.MOUSE_MOVED, 45);
        mouse(MouseEvent.MOUSE_MOVED, 50);
        mouse(MouseEvent.MOUSE_CLICKED, 45);
        mouse(MouseEvent.MOUSE_CLICKED, 75);
        mouse(MouseEvent.MOUSE_EXITED, 400);
        assertThat(said).containsExactly("over 1", "picked 1", "picked 1 of after", "over -1");
        said.clear();
        shown(Optional.empty(), Optional.of(MANY), PLAIN, Optional.empty());
        mouse(MouseEvent.MOUSE_CLICKED, 200.5 / 256 * WIDTH);
        assertThat(said).as("only After is shown").containsExactly("picked 200 of after");
    }
}
