package pixeron.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import pixeron.app.sheet.paint.Viewport;
import pixeron.image.Pixel;

class ViewportTest {

    private static Viewport viewport(int rows, int columns) {
        Viewport viewport = new Viewport();
        viewport.setScreenSize(300, 400);
        viewport.setImageSize(rows, columns);
        return viewport;
    }

    @Test
    void fittedTheWholeImageIsSeen() {
        for (int[] size : new int[][] {{1, 1}, {8, 8}, {4096, 4096}, {3, 5000}, {700, 2}}) {
            Viewport viewport = viewport(size[0], size[1]);
            assertThat(viewport.x(size[1])).isLessThanOrEqualTo(300 + 1e-9);
            assertThat(viewport.y(size[0])).isLessThanOrEqualTo(400 + 1e-9);
            assertThat(viewport.x(0)).isZero();
            assertThat(viewport.cell()).isLessThanOrEqualTo(96);
        }
        assertThat(viewport(8, 8).cell()).isEqualTo(37);
    }

    @Test
    void zoomKeepsThePlaceUnderThePointerWhileThereIsRoom() {
        Random random = new Random(5);
        for (int n = 0; n < 500; n++) {
            Viewport viewport = viewport(1000, 1000);
            viewport.zoom(random.nextBoolean() ? 20 : 60, 150, 150);
            double x = 100 + random.nextInt(100);
            double y = 100 + random.nextInt(200);
            Pixel before = viewport.pixelAt(x, y);
            double column = viewport.left() + x / viewport.cell();
            viewport.zoom(0.7 + random.nextDouble(), x, y);
            assertThat(viewport.pixelAt(x, y)).isEqualTo(before);
            if (viewport.cell() < 16) {
                assertThat(viewport.left() + x / viewport.cell()).isCloseTo(column, within(1e-6));
            } else {
                assertRests(viewport);
            }
        }
    }

    /** No number is cut at the left edge or at the top. */
    private static void assertRests(Viewport viewport) {
        assertThat(viewport.left()).isEqualTo(Math.rint(viewport.left()));
        assertThat(viewport.top()).isEqualTo(Math.rint(viewport.top()));
    }

    /** A hand that moves by less than a cell at a time moves the image all the same. */
    @Test
    void scrollingRestsOnWholeCellsAndSmallMovementsAddUp() {
        Viewport viewport = viewport(100, 100);
        viewport.zoom(1000, 0, 0);
        for (int n = 1; n <= 96; n++) {
            viewport.pan(-5, -2);
            assertRests(viewport);
        }
        assertThat(viewport.left()).isEqualTo(5);
        assertThat(viewport.top()).isEqualTo(2);
        viewport.pan(60, 0);
        assertThat(viewport.left()).isEqualTo(4);
    }

    @Test
    void zoomRunsWithoutABreakFromTheWholeToLargeCells() {
        Viewport viewport = viewport(4096, 4096);
        double smallest = viewport.cell();
        int steps = 0;
        double last = 0;
        while (viewport.cell() != last) {
            last = viewport.cell();
            viewport.zoom(1.15);
            assertThat(viewport.cell()).isBetween(last, last * 1.25);
            steps++;
        }
        assertThat(viewport.cell()).isEqualTo(96);
        assertThat(steps).isGreaterThan(40);
        for (int n = 0; n < 2 * steps; n++) {
            viewport.zoom(1 / 1.15);
        }
        assertThat(viewport.cell()).isEqualTo(smallest);
        assertThat(viewport.left()).isZero();
    }

    @Test
    void panningStaysOnTheImageAndRevealMovesNoFartherThanNeeded() {
        Viewport viewport = viewport(100, 100);
        viewport.zoom(1000, 0, 0);
        viewport.pan(1e6, 1e6);
        assertThat(viewport.left()).isZero();
        viewport.pan(-1e6, -1e6);
        // Three cells of 96 points are seen whole, and 12 points behind them.
        assertThat(viewport.x(100)).isEqualTo(288);
        viewport.reveal(new Pixel(99, 99));
        assertThat(viewport.x(100)).isEqualTo(288);
        viewport.reveal(new Pixel(0, 0));
        assertThat(viewport.left()).isZero();
        viewport.reveal(new Pixel(0, 3));
        assertThat(viewport.x(4)).isEqualTo(288);
    }

    @Test
    void aFittedImageStaysFittedWhenTheWindowGrows() {
        Viewport viewport = viewport(64, 64);
        viewport.setScreenSize(600, 700);
        assertThat(viewport.cell()).isEqualTo(9);
        viewport.zoom(3);
        viewport.setScreenSize(500, 500);
        assertThat(viewport.cell()).isEqualTo(27);
        viewport.setImageSize(64, 64);
        assertThat(viewport.cell()).as("a result of the same size keeps the view").isEqualTo(27);
    }
}
