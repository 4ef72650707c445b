package pixeron.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Bounds;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import pixeron.app.bench.BenchView;
import pixeron.app.model.ColorView;
import pixeron.app.sheet.Sheet;
import pixeron.app.sheet.paint.Viewport;
import pixeron.format.ImageFiles;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.step.catalog.StepLine;

/** After opening anything, and after Fit, the whole image is seen on every sheet that is shown. */
class WholeImageTest extends WindowTest {

    private static final List<int[]> SIZES = List.of(new int[] {1, 1}, new int[] {40, 30}, new int[] {30, 40}, new int[] {8, 300}, new int[] {700, 5},
            new int[] {512, 512}, new int[] {4096, 4096});
    private static final List<int[]> WINDOWS = List.of(new int[] {1280, 800}, new int[] {1366, 768});

    private Path file(int rows, int columns, boolean isColor) {
        Image gray = Image.ofLevels(rows, columns, 255, n -> n % 251);
        Result image = isColor ? new ColorImage(gray, Image.ofLevels(rows, columns, 255, n -> n % 7), gray, Optional.empty()) : gray;
        Path file = folder.resolve(rows + "x" + columns + (isColor ? ".ppm" : ".pgm"));
        ImageFiles.write(file, image, false);
        return file;
    }

    private Viewport viewport() {
        return ((BenchView) lookup(".bench").query()).sheets().viewport();
    }

    /** Cells end at the right and at the bottom inside of each sheet that a user sees. */
    private void assertWhole(String where) {
        interact(() -> {
            window.applyCss();
            window.layout();
        });
        List<Sheet> sheets = seen(Sheet.class);
        assertThat(sheets).as(where).isNotEmpty();
        Viewport shown = viewport();
        assertThat(shown.left()).as(where).isZero();
        assertThat(shown.top()).as(where).isZero();
        for (Sheet sheet : sheets) {
            Bounds room = sheet.getLayoutBounds();
            // Beside the cells there is room for their numbers, at least 18 points.
            assertThat(shown.columns() * shown.cell()).as("%s: columns on %s", where, sheet.getAccessibleText()).isLessThanOrEqualTo(room.getWidth() - 18);
            assertThat(shown.rows() * shown.cell()).as("%s: rows on %s", where, sheet.getAccessibleText()).isLessThanOrEqualTo(room.getHeight() - 18);
        }
        assertThat(seen(pixeron.app.sheet.Overview.class)).as("%s: a map of what is seen whole", where).isEmpty();
    }

    /** In a window that has shown nothing yet, sheets are wider before those of the channels come. */
    @Test
    void aColorImageIsSeenWholeInAWindowThatHasShownNothing() {
        open(file(30, 40, true));
        assertWhole("the first image");
        clickOn("Fit");
        assertWhole("after a click on Fit");
    }

    @Test
    void anImageAsLargeAsTheOneBeforeIsSeenWhole() {
        open(file(30, 40, false));
        interact(() -> viewport().zoom(64));
        open(file(30, 40, false));
        assertWhole("the second image");
    }

    /** A 3 × 3 image has cells of 96 points; three digits of 20 × 20 need 21 points each, which one sheet alone has. */
    @Test
    void cellsAreAsLargeAsTheRoomAllows() {
        open(file(3, 3, false));
        until(() -> viewport().cell() == 96);
        open(file(20, 20, false));
        interact(() -> bench().addStep(StepLine.parse("invert")));
        settle();
        push(KeyCode.F12);
        until(() -> viewport().cell() >= 21);
        assertWhole("20 × 20, one sheet large");
    }

    @Test
    void everyImageIsSeenWhole() {
        for (int[] size : SIZES) {
            for (boolean isColor : new boolean[] {false, true}) {
                open(file(size[0], size[1], isColor));
                for (int[] screen : WINDOWS) {
                    interact(() -> {
                        stage.setWidth(screen[0]);
                        stage.setHeight(screen[1]);
                    });
                    String where = size[0] + " × " + size[1] + (isColor ? " in color" : "") + " at " + screen[0];
                    assertWhole(where + ", opened");
                    if (isColor) {
                        interact(() -> bench().looking().colorViewProperty().set(ColorView.APART));
                        assertWhole(where + ", side by side");
                    }
                    if (size[0] * size[1] > 1) {
                        interact(() -> viewport().zoom(64));
                        push(KeyCode.SHORTCUT, KeyCode.DIGIT0);
                    }
                    assertWhole(where + ", after Fit");
                    interact(() -> bench().looking().colorViewProperty().set(ColorView.TOGETHER));
                    clickOn("Fit");
                    assertWhole(where + ", after a click on Fit");
                }
            }
        }
    }
}
