package pixeron.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.function.Predicate;
import javafx.scene.canvas.Canvas;
import javafx.scene.image.PixelReader;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.framework.junit5.ApplicationTest;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.image.Pixel;
import pixeron.step.catalog.StepLine;

/** What is drawn, read back point by point. */
class PaintersTest extends ApplicationTest {

    private static final int SIDE = 240;

    private Theme theme;

    @Override
    public void start(Stage stage) {
        theme = new Theme(new StackPane());
        theme.loadNumbers();
    }

    private PixelReader painted(Painter painter, Viewport viewport) {
        PixelReader[] reader = new PixelReader[1];
        interact(() -> {
            Canvas canvas = new Canvas(SIDE, SIDE);
            painter.paint(canvas.getGraphicsContext2D(), viewport);
            reader[0] = canvas.snapshot(null, null).getPixelReader();
        });
        return reader[0];
    }

    private static Viewport viewport(Image image) {
        Viewport viewport = new Viewport();
        viewport.setScreenSize(SIDE, SIDE);
        viewport.setImageSize(image.rows(), image.columns());
        return viewport;
    }

    private static int gray(PixelReader reader, double x, double y) {
        return reader.getArgb((int) x, (int) y) & 0xFF;
    }

    /** At every zoom the gray under a cell's corner is the gray of its level. */
    @Test
    void grayIsTheSameInPictureAndCells() {
        Image image = Image.ofLevels(30, 30, 7, n -> (n % 30 + n / 30) % 8);
        ImagePainter painter = new ImagePainter(image, ImageFacts.of(image), theme);
        Viewport viewport = viewport(image);
        for (double zoom : new double[] {1, 1.3, 2, 3, 5}) {
            viewport.fit();
            viewport.zoom(zoom, 0, 0);
            PixelReader reader = painted(painter, viewport);
            for (int i = 0; i <= Math.min(29, viewport.lastRow() - 1); i++) {
                for (int j = 0; j <= Math.min(29, viewport.lastColumn() - 1); j++) {
                    int expected = (int) Math.rint(255.0 * image.level(i * 30 + j) / 7);
                    assertThat(gray(reader, Math.ceil(viewport.x(j)) + 1, Math.ceil(viewport.y(i)) + 1))
                            .as("zoom %s, row %d, column %d", zoom, i, j).isEqualTo(expected);
                }
            }
        }
    }

    /** Made smaller, a picture shows the mean of what it leaves out: a fine checker becomes gray, not black or white. */
    @Test
    void aPictureMadeSmallerIsNotPickedAtRandom() {
        Image checker = Image.ofLevels(960, 960, 255, n -> (n / 960 + n % 960) % 2 * 255);
        PixelReader reader = painted(new ImagePainter(checker, ImageFacts.of(checker), theme), viewport(checker));
        for (int n = 10; n < 230; n += 10) {
            assertThat(gray(reader, n, n)).isBetween(80, 175);
        }
    }

    @Test
    void marksDifferInColourAndGround() {
        Image before = Image.of(255, new int[][] {{100, 100, 100}});
        HandSheet sheet = HandSheet.EMPTY.with(new Pixel(0, 0), "155").with(new Pixel(0, 1), "150");
        Check check = Check.of(sheet, StepLine.parse("invert").bind(before));
        Viewport viewport = viewport(before);
        HandPainter shown = new HandPainter(sheet, check, theme, 3, true);
        PixelReader reader = painted(shown, viewport);
        double side = viewport.cell();
        assertThat(reader.getColor((int) (side / 2), (int) side - 4)).isEqualTo(Palette.LIGHT.panel());
        assertThat(reader.getColor((int) (1.5 * side), (int) side - 4)).isEqualTo(Palette.LIGHT.differGround());
        assertThat(has(reader, 0, side, PaintersTest::isTeal)).as("a tick").isTrue();
        assertThat(has(reader, side, side, PaintersTest::isTeal)).isFalse();
        assertThat(has(reader, side, side, Palette.LIGHT.differ()::equals)).isTrue();
        assertThat(has(reader, 0, side, Palette.LIGHT.differ()::equals)).isFalse();
        assertThat(shown.describe(new Pixel(0, 1))).isEqualTo("150, differs by −5");
        HandPainter covered = new HandPainter(sheet, check, theme, 3, false);
        assertThat(has(painted(covered, viewport), side, side, Palette.LIGHT.differ()::equals)).isFalse();
        assertThat(covered.describe(new Pixel(0, 1))).as("covered marks are not spoken either").isEqualTo("150");
    }

    /** Thin lines are drawn soft, so a tick is known by its hue. */
    private static boolean isTeal(Color color) {
        return color.getGreen() - color.getRed() > 0.15;
    }

    private static boolean has(PixelReader reader, double left, double side, Predicate<Color> wanted) {
        for (int y = 0; y < side; y++) {
            for (int x = (int) left; x < left + side; x++) {
                if (wanted.test(reader.getColor(x, y))) {
                    return true;
                }
            }
        }
        return false;
    }
}
