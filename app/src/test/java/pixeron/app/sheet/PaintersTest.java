package pixeron.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import javafx.scene.canvas.Canvas;
import javafx.scene.image.PixelReader;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.framework.junit5.ApplicationTest;
import pixeron.app.model.Described;
import pixeron.app.model.Display;
import pixeron.app.model.Scale;
import pixeron.app.model.Seen;
import pixeron.app.sheet.paint.ColorPainter;
import pixeron.app.sheet.paint.ColorText;
import pixeron.app.sheet.paint.Extent;
import pixeron.app.sheet.paint.HandPainter;
import pixeron.app.sheet.paint.ImagePainter;
import pixeron.app.sheet.paint.Look;
import pixeron.app.sheet.paint.Painter;
import pixeron.app.sheet.paint.Tones;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.NumberBase;
import pixeron.look.PixelSet;
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

    private ImagePainter painter(Image image, Display display, Optional<PixelSet> lit) {
        return new ImagePainter(Described.of(image), new Look(display, lit), theme);
    }

    private PixelReader painted(Painter painter, Viewport viewport) {
        PixelReader[] reader = new PixelReader[1];
        interact(() -> {
            Canvas canvas = new Canvas(SIDE, SIDE);
            painter.paint(canvas.getGraphicsContext2D(), Extent.of(viewport));
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
        ImagePainter painter = painter(image, Display.PLAIN, Optional.empty());
        Viewport viewport = viewport(image);
        for (double zoom : new double[] {1, 1.3, 2, 3, 5}) {
            viewport.fit();
            viewport.zoom(zoom, 0, 0);
            PixelReader reader = painted(painter, viewport);
            for (int i = 0; i <= Math.min(29, Extent.of(viewport).lastRow() - 1); i++) {
                for (int j = 0; j <= Math.min(29, Extent.of(viewport).lastColumn() - 1); j++) {
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
        PixelReader reader = painted(painter(checker, Display.PLAIN, Optional.empty()), viewport(checker));
        for (int n = 10; n < 230; n += 10) {
            assertThat(gray(reader, n, n)).isBetween(126, 129);
        }
    }

    /** The ends of the range are the ends of the scale, what lies outside is shown as the nearer end. */
    @Test
    void rangeAndScaleSayWhichColorStandsForAValue() {
        Image image = Image.of(255, new int[][] {{10, 20, 30, 40}});
        Display own = Display.PLAIN.with(Scale.DUSK).with(new Display.Ends(20, 30));
        for (Display display : List.of(own, own.with(NumberBase.BINARY))) {
            Viewport viewport = viewport(image);
            PixelReader reader = painted(painter(image, display, Optional.empty()), viewport);
            int[] places = {0, 0, 255, 255};
            for (int j = 0; j < 4; j++) {
                assertThat(reader.getArgb((int) viewport.x(j) + 2, 2)).isEqualTo(Scale.DUSK.color(places[j]));
            }
        }
        Display toEnds = Display.PLAIN.with(Display.Range.IMAGE);
        assertThat(gray(painted(painter(image, toEnds, Optional.empty()), viewport(image)), 2, 2)).isZero();
        assertThat(own.sign()).contains("Dusk colors, range own");
        assertThat(Display.PLAIN.sign()).isEmpty();
    }

    /** A single lit pixel of a large image is seen however small the picture is; the others step back. */
    @Test
    void litPixelsAreSeenAtEveryZoom() {
        Image image = Image.ofLevels(1000, 1000, 255, n -> n == 567_123 ? 1 : 200);
        PixelSet lit = PixelSet.ofLevels(image, 1, 1);
        Viewport viewport = viewport(image);
        PixelReader reader = painted(painter(image, Display.PLAIN, Optional.of(lit)), viewport);
        double cell = viewport.cell();
        assertThat(reader.getColor((int) (123 * cell), (int) (567 * cell))).isEqualTo(Palette.LIGHT.picked());
        assertThat(gray(reader, 10, 10)).isGreaterThan(220);
        Image small = Image.of(7, new int[][] {{1, 5}});
        Viewport large = viewport(small);
        PixelReader cells = painted(painter(small, Display.PLAIN, Optional.of(PixelSet.ofLevels(small, 5, 5))), large);
        assertThat(has(cells, large.cell(), large.cell(), Palette.LIGHT.picked()::equals)).isTrue();
        assertThat(has(cells, 0, large.cell(), Palette.LIGHT.picked()::equals)).isFalse();
    }

    /** Every scale but the two-sided one rises in lightness, so it can be read without seeing color. */
    @Test
    void scalesRiseInLightness() {
        for (Scale scale : List.of(Scale.GRAY, Scale.DUSK, Scale.INK)) {
            for (int place = 1; place < Scale.STEPS; place++) {
                assertThat(luminance(scale.color(place))).as("%s %d", scale, place)
                        .isGreaterThanOrEqualTo(luminance(scale.color(place - 1)));
            }
            assertThat(luminance(scale.color(255)) - luminance(scale.color(0))).isGreaterThan(0.8);
        }
    }

    private static double luminance(int argb) {
        return Tones.luminance(Color.rgb(argb >> 16 & 0xFF, argb >> 8 & 0xFF, argb & 0xFF));
    }

    @Test
    void colorIsDrawnAsItLooksAndTransparencyOverAGround() {
        Image full = Image.of(255, new int[][] {{255, 255}});
        Image none = Image.of(255, new int[][] {{0, 0}});
        Image alpha = Image.of(255, new int[][] {{255, 0}});
        ColorPainter painter = color(new ColorImage(full, none, none, Optional.of(alpha)), Display.PLAIN);
        Viewport viewport = viewport(full);
        PixelReader reader = painted(painter, viewport);
        assertThat(reader.getColor(2, 2)).isEqualTo(Color.RED);
        assertThat(reader.getColor((int) viewport.cell() + 2, 2).getSaturation()).isZero();
        assertThat(painter.describe(new Pixel(0, 1))).isEqualTo("red 255, green 0, blue 0, alpha 0");
    }

    private ColorPainter color(ColorImage image, Display display) {
        Seen seen = Seen.of(image);
        return new ColorPainter(seen, new ColorText(display, "red", List.of(seen)), new Look(display, Optional.empty()), theme);
    }

    @Test
    void marksDifferInColorAndGround() {
        Image before = Image.of(255, new int[][] {{100, 100, 100}});
        HandSheet sheet = HandSheet.EMPTY.with(new Pixel(0, 0), "155").with(new Pixel(0, 1), "150");
        Check check = Check.of(sheet, StepLine.parse("invert").bind(before));
        Viewport viewport = viewport(before);
        HandPainter shown = new HandPainter(sheet, check, theme, 3, true, Set.of());
        PixelReader reader = painted(shown, viewport);
        double side = viewport.cell();
        assertThat(reader.getColor((int) (side / 2), (int) side - 4)).isEqualTo(Palette.LIGHT.panel());
        assertThat(reader.getColor((int) (1.5 * side), (int) side - 4)).isEqualTo(Palette.LIGHT.differGround());
        assertThat(has(reader, 0, side, PaintersTest::isTeal)).as("a tick").isTrue();
        assertThat(has(reader, side, side, PaintersTest::isTeal)).isFalse();
        assertThat(has(reader, side, side, Palette.LIGHT.differ()::equals)).isTrue();
        assertThat(has(reader, 0, side, Palette.LIGHT.differ()::equals)).isFalse();
        assertThat(shown.describe(new Pixel(0, 1))).isEqualTo("150, differs by 5 less");
        HandPainter covered = new HandPainter(sheet, check, theme, 3, false, Set.of());
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
