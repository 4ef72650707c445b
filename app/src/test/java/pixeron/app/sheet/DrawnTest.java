package pixeron.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Scene;
import javafx.scene.canvas.Canvas;
import javafx.scene.image.PixelReader;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.framework.junit5.ApplicationTest;
import pixeron.app.model.Described;
import pixeron.app.model.Display;
import pixeron.app.sheet.paint.CoverPainter;
import pixeron.app.sheet.paint.Extent;
import pixeron.app.sheet.paint.HandPainter;
import pixeron.app.sheet.paint.ImagePainter;
import pixeron.app.sheet.paint.Look;
import pixeron.app.sheet.paint.OverwrittenPainter;
import pixeron.app.sheet.paint.Painter;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.sheet.paint.WindowPainter;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.PixelSet;
import pixeron.step.Operation;
import pixeron.step.catalog.StepLine;

/**
 * What every painter draws, and where: one harness for all of them, in the light, the dark and the large theme. A cell counts
 * as painted in a color when that color is found in it; each painter is asked for the cells of its color.
 */
class DrawnTest extends ApplicationTest {

    private static final int ROWS = 4;
    private static final int COLUMNS = 6;
    private static final double CELL = 40;
    /** 0 to 7, again and again. */
    private static final Image SORT = Image.ofLevels(ROWS, COLUMNS, 7, n -> n % 8);

    private final StackPane root = new StackPane();
    private Theme theme;

    @Override
    public void start(Stage stage) {
        stage.setScene(new Scene(root, 100, 100));
        // Another test may have left the window at a size of its own.
        stage.sizeToScene();
        theme = new Theme(root);
        theme.loadNumbers();
    }

    private interface Check3 {
        void run(String name, Palette palette);
    }

    /** In each of the three themes. */
    private void inEveryTheme(Check3 check) {
        for (String name : List.of("light", "dark", "large")) {
            interact(() -> {
                theme.setDark(name.equals("dark"));
                theme.setLarge(name.equals("large"));
            });
            check.run(name, theme.palette());
        }
    }

    private PixelReader painted(Painter painter, Frame frame) {
        PixelReader[] reader = new PixelReader[1];
        interact(() -> {
            Viewport viewport = new Viewport();
            viewport.setScreenSize(COLUMNS * CELL, ROWS * CELL);
            viewport.setImageSize(ROWS, COLUMNS);
            Canvas canvas = new Canvas(COLUMNS * CELL, ROWS * CELL);
            painter.paint(canvas.getGraphicsContext2D(), Extent.of(viewport, frame));
            reader[0] = canvas.snapshot(null, null).getPixelReader();
        });
        return reader[0];
    }

    private interface Point {
        boolean counts(int x, int y);
    }

    private static Set<Pixel> cells(Point point) {
        Set<Pixel> found = new HashSet<>();
        for (int y = 0; y < ROWS * CELL; y++) {
            for (int x = 0; x < COLUMNS * CELL; x++) {
                if (point.counts(x, y)) {
                    found.add(new Pixel((int) (y / CELL), (int) (x / CELL)));
                }
            }
        }
        return found;
    }

    /** Returns the cells in which a color is found after painting. */
    private Set<Pixel> cells(Painter painter, Frame frame, Color color) {
        PixelReader reader = painted(painter, frame);
        return cells((x, y) -> isNear(reader.getColor(x, y), color));
    }

    /** Returns the cells in which one painter draws something else than another. */
    private Set<Pixel> changed(Painter painter, Painter other, Frame frame) {
        PixelReader reader = painted(painter, frame);
        PixelReader plain = painted(other, frame);
        return cells((x, y) -> reader.getArgb(x, y) != plain.getArgb(x, y));
    }

    private static boolean isNear(Color a, Color b) {
        return Math.abs(a.getRed() - b.getRed()) + Math.abs(a.getGreen() - b.getGreen()) + Math.abs(a.getBlue() - b.getBlue()) < 0.02;
    }

    private static Set<Pixel> pixels(int... rowsAndColumns) {
        Set<Pixel> pixels = new HashSet<>();
        for (int n = 0; n < rowsAndColumns.length; n += 2) {
            pixels.add(new Pixel(rowsAndColumns[n], rowsAndColumns[n + 1]));
        }
        return pixels;
    }

    private static Set<Pixel> all(Frame frame) {
        Set<Pixel> pixels = new HashSet<>();
        for (int n = 0; n < frame.count(); n++) {
            pixels.add(frame.pixel(n));
        }
        return pixels;
    }

    @Test
    void aCoverLiesOverWhatIsNotWrittenWithinTheResult() {
        Frame small = new Frame(3, 4, 7);
        inEveryTheme((name, palette) -> {
            CoverPainter cover = new CoverPainter(pixel -> pixel.row() == 0, new Pixel(1, 0), 3, 4, theme);
            Set<Pixel> hatched = cells(cover, small, palette.line());
            assertThat(hatched).as(name).doesNotContain(new Pixel(0, 0), new Pixel(3, 0), new Pixel(1, 4))
                    .contains(new Pixel(1, 1), new Pixel(2, 3));
            assertThat(cells(cover, small, palette.byHand())).as("%s: the question mark of the pixel that it is now", name)
                    .containsExactly(new Pixel(1, 0));
            assertThat(cover.describe(new Pixel(2, 2))).isEqualTo("not written yet");
            assertThat(cover.describe(new Pixel(0, 2))).isEmpty();
        });
    }

    @Test
    void litPixelsStandOutAndOnlyThey() {
        Described described = Described.of(SORT);
        inEveryTheme((name, palette) -> {
            Look look = new Look(Display.PLAIN, Optional.of(PixelSet.ofLevels(SORT, 3, 3)));
            Set<Pixel> lit = cells(new ImagePainter(described, look, theme), SORT.frame(), palette.picked());
            assertThat(lit).as(name).containsExactlyInAnyOrderElementsOf(pixels(0, 3, 1, 5, 3, 1));
            assertThat(cells(new ImagePainter(described, new Look(Display.PLAIN, Optional.empty()), theme), SORT.frame(),
                    palette.picked())).as(name).isEmpty();
        });
    }

    @Test
    void theWindowOfAPixelIsFramedAndWhatStandsOutsideIsDashedWhereItComesFrom() {
        Operation box = StepLine.parse("box size=3 border=replicate").bind(SORT);
        inEveryTheme((name, palette) -> {
            assertThat(cells(new WindowPainter(box.sources(new Pixel(2, 3)), 9, false, theme), SORT.frame(), palette.picked())).as(name)
                    .containsExactlyInAnyOrderElementsOf(pixels(1, 2, 1, 3, 1, 4, 2, 2, 2, 3, 2, 4, 3, 2, 3, 3, 3, 4));
            assertThat(cells(new WindowPainter(box.sources(new Pixel(0, 0)), 9, false, theme), SORT.frame(), palette.picked())).as(name)
                    .containsExactlyInAnyOrderElementsOf(pixels(0, 0, 0, 1, 1, 0, 1, 1));
        });
    }

    @Test
    void marksAreNeverToldByColorAlone() {
        Operation step = StepLine.parse("add amount=1").bind(SORT);
        HandSheet sheet = HandSheet.EMPTY.with(Map.of(new Pixel(0, 0), "1", new Pixel(1, 1), "3", new Pixel(2, 2), "what"));
        Check check = Check.of(sheet, step);
        inEveryTheme((name, palette) -> {
            HandPainter marked = new HandPainter(sheet, check, theme, 2, true, Set.of());
            HandPainter plain = new HandPainter(sheet, check, theme, 2, false, Set.of());
            assertThat(changed(marked, plain, SORT.frame())).as("%s: a tick, a triangle, a question mark", name)
                    .containsExactlyInAnyOrderElementsOf(pixels(0, 0, 1, 1, 2, 2));
            assertThat(cells(marked, SORT.frame(), palette.differGround())).as(name)
                    .containsExactlyInAnyOrderElementsOf(pixels(1, 1, 2, 2));
            assertThat(marked.describe(new Pixel(0, 0))).contains("agrees");
            assertThat(marked.describe(new Pixel(1, 1))).contains("differs by 4 less");
            assertThat(cells(plain, SORT.frame(), palette.differGround())).as("%s, marks hidden", name).isEmpty();
        });
    }

    /** A result that is smaller than what comes in ends where it ends, on paper of its own. */
    @Test
    void aSheetEndsWithItsOwnFrame() {
        Frame small = new Frame(2, 3, 7);
        Operation crop = StepLine.parse("crop row=1 column=2 height=2 width=3").bind(SORT);
        Image after = crop.result(pixeron.step.Progress.NONE);
        inEveryTheme((name, palette) -> {
            HandPainter hand = new HandPainter(HandSheet.EMPTY, Check.EMPTY, theme, 1, true, Set.of());
            assertThat(cells(hand, small, palette.line())).as(name).containsExactlyInAnyOrderElementsOf(all(small));
            ImagePainter image = new ImagePainter(Described.of(after), new Look(Display.PLAIN, Optional.empty()), theme);
            Set<Pixel> drawn = new HashSet<>();
            for (int level : List.of(0, 1, 2, 4, 5, 6)) {
                int gray = (int) Math.rint(255.0 * level / 7);
                drawn.addAll(cells(image, small, Color.rgb(gray, gray, gray)));
            }
            assertThat(drawn).as(name).containsAll(all(small)).doesNotContain(new Pixel(0, 3), new Pixel(2, 0), new Pixel(3, 5));
        });
    }

    @Test
    void whatIsOverwrittenIsDrawnOnlyWhereItIs() {
        Image black = Image.ofLevels(ROWS, COLUMNS, 7, n -> 0);
        List<Painter> painters = new ArrayList<>();
        inEveryTheme((name, palette) -> {
            ImagePainter mistake = new ImagePainter(Described.of(black), new Look(Display.PLAIN, Optional.empty()), theme);
            OverwrittenPainter over = new OverwrittenPainter(mistake, pixel -> pixel.row() < 2, ROWS, COLUMNS);
            painters.add(over);
            assertThat(cells(over, black.frame(), Color.BLACK)).as(name).contains(new Pixel(0, 0), new Pixel(1, 5))
                    .doesNotContain(new Pixel(2, 0), new Pixel(3, 5));
        });
        assertThat(painters).hasSize(3);
    }
}
