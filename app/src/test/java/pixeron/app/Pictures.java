package pixeron.app;

import java.io.File;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import pixeron.app.bench.BenchView;
import pixeron.app.model.Display;
import pixeron.app.model.Scale;
import pixeron.app.model.Search;
import pixeron.app.model.Selection;
import pixeron.image.Pixel;
import pixeron.make.Maker;
import pixeron.step.catalog.StepLine;

/**
 * Takes the pictures of docs/screenshots; runs only when asked: {@code mvn test -pl app -am -Dtest=Pictures
 * -Dpixeron.pictures=docs/screenshots}.
 */
@EnabledIfSystemProperty(named = "pixeron.pictures", matches = ".+")
class Pictures extends PictureTest {

    @Test
    void opening() throws IOException {
        take("opening");
    }

    @Test
    void newImage() throws IOException {
        push(KeyCode.SHORTCUT, KeyCode.N);
        ComboBox<Maker> kind = lookup((ComboBox<Maker> box) -> box.getItems().get(0) instanceof Maker).query();
        interact(() -> kind.setValue(kind.getItems().stream().filter(m -> m.name().equals("sine")).findFirst()
                .orElseThrow()));
        sleep(300);
        take("new-image");
    }

    @Test
    void threeBitSort() throws IOException {
        demo("Three-bit sort");
        take("bench");
        clickOn("Facts");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
        take("large-type");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
    }

    @Test
    void hueOfTheColorProof() throws IOException {
        demo("Color proof");
        interact(() -> {
            bench().select(-1);
            bench().addStep(StepLine.parse("convert to=hsv"));
        });
        settle();
        pick(12, 4);
        interact(() -> ((BenchView) lookup(".bench").query()).sheets().viewport().zoomAround(3.2, new Pixel(12, 4)));
        take("hue");
    }

    @Test
    void colorProof() throws IOException {
        demo("Color proof");
        pick(4, 9);
        interact(() -> ((BenchView) lookup(".bench").query()).sheets().viewport().zoomAround(3.2, new Pixel(4, 9)));
        take("color");
        push(KeyCode.ALT, KeyCode.DIGIT1);
        take("channel");
        push(KeyCode.ALT, KeyCode.DIGIT5);
        take("channels");
        push(KeyCode.ALT, KeyCode.DIGIT0);
        clickOn("Slips");
        take("color-slips");
        clickOn("Loops");
        take("color-loops");
        clickOn("Pixel");
        clickOn("Levels");
        take("color-pixel");
        clickOn("Table");
        take("color-table");
        clickOn("Compare");
        take("color-compare");
        clickOn("Sheets");
        interact(() -> bench().select(-1));
        take("color-image");
        interact(() -> bench().select(2));
        take("color-gray");
        interact(() -> bench().select(4));
        clickOn("Working");
        take("color-to-gray");
        interact(() -> bench().select(0));
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.D);
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
        take("color-dark");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.D);
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
    }

    @Test
    void inspecting() throws IOException {
        demo("Faint proof");
        interact(() -> {
            bench().mark(Selection.rectangle(new Pixel(4, 5), new Pixel(9, 11)));
            bench().pick(new Pixel(9, 11));
            bench().light(Optional.of(new Search.Levels(false, 101, 103)));
        });
        clickOn("Selection");
        take("inspecting");
        interact(() -> {
            bench().mark(null);
            bench().looking().toggleWatched(new Pixel(9, 11));
            bench().looking().toggleWatched(new Pixel(3, 2));
            bench().light(Optional.empty());
        });
        clickOn("Display");
        interact(() -> bench().looking().displayProperty().set(Display.PLAIN.with(Scale.DUSK).with(Display.Range.IMAGE)));
        push(KeyCode.SHORTCUT, KeyCode.PLUS);
        push(KeyCode.SHORTCUT, KeyCode.PLUS);
        take("display");
    }

    /** Before and After of different sizes; a value by hand in the result's own rows and columns. */
    @Test
    void crop() throws IOException {
        demo("Faint proof");
        interact(() -> {
            bench().select(-1);
            bench().addStep(StepLine.parse("crop row=4 column=3 height=6 width=8"));
        });
        settle();
        interact(() -> {
            bench().hand().edit(sheet -> sheet.with(Map.of(new Pixel(0, 0), String.valueOf(after().level(0)), new Pixel(0, 1),
                    String.valueOf(after().level(1)), new Pixel(0, 2), "99")));
            bench().pick(new Pixel(2, 3));
        });
        interact(() -> bench().pickBefore(new Pixel(0, 1)));
        take("gone");
        push(KeyCode.F6);
        sleep(600);
        take("compare-crop");
        push(KeyCode.F3);
        pick(2, 3);
        clipboard("");
        push(KeyCode.SHORTCUT, KeyCode.V);
        take("message");
    }

    /** Two pulls of one forme, a hair between them; then larger, rotated, and smaller. */
    @Test
    void twoImages() throws IOException {
        demo("Two pulls");
        interact(() -> {
            bench().select(1);
            bench().pick(new Pixel(7, 6));
        });
        take("two-images");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.D);
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
        take("two-images-large");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.D);
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.L);
        interact(() -> bench().edit(project -> project.onBranch("B")));
        settle();
        interact(() -> bench().select(0));
        take("two-pulls-b");
    }

    @Test
    void places() throws IOException {
        demo("Border strip");
        take("strip-flip");
        interact(() -> bench().select(2));
        settle();
        pick(2, 5);
        clickOn("Slips");
        take("crop");
        clickOn("Working");
        interact(() -> bench().select(-1));
        step("resize height=9 by=linear");
        pick(4, 4);
        take("resized");
        push(KeyCode.F9);
        clickOn("Forward mapping");
        until(() -> bench().walking().mistakeProperty().get() != null);
        interact(() -> bench().walking().toEnd());
        pick(4, 4);
        clickOn("Loops");
        take("forwards");
        push(KeyCode.F9);
        clickOn("Levels");
        step("rotate degrees=30 by=linear size=keep border=replicate");
        pick(3, 4);
        take("turned");
        step("resize height=4 width=4 by=mean");
        pick(1, 2);
        take("mean");
    }

    @Test
    void lowRank() throws IOException {
        demo("Dusty strip");
        take("rank");
        clickOn("Table");
        take("singular");
        clickOn("Compare");
        clickOn("Ranks");
        sleep(800);
        take("ranks");
    }

    @Test
    void disturbance() throws IOException {
        demo("Banded proof");
        clickOn("Slips");
        take("banded");
    }

    @Test
    void table() throws IOException {
        interact(() -> {
            javafx.scene.input.ClipboardContent content = new javafx.scene.input.ClipboardContent();
            content.putString("left;middle;right\n12;40;7\n0;300;255\n18;2;64\n");
            javafx.scene.input.Clipboard.getSystemClipboard().setContent(content);
        });
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.V);
        sleep(300);
        take("table");
    }

    @Test
    void tables() throws IOException {
        demo("Levels of the sort");
        push(KeyCode.F4);
        sleep(500);
        javafx.scene.control.TableView<Integer> view = lookup(".hand-table").query();
        interact(() -> {
            view.requestFocus();
            javafx.scene.control.TableColumn<Integer, ?> column = view.getColumns().stream()
                    .filter(c -> "running*".equals(c.getId())).findFirst().orElseThrow();
            view.getSelectionModel().clearAndSelect(5, column);
        });
        sleep(300);
        take("levels");
        interact(() -> bench().select(1));
        sleep(600);
        take("variance");
        clickOn("Row by row");
        for (int n = 0; n < 5; n++) {
            push(KeyCode.ALT, KeyCode.RIGHT);
        }
        sleep(300);
        take("rows");
    }

    @Test
    void curves() throws IOException {
        demo("Faint proof");
        pick(6, 5);
        push(KeyCode.F5);
        sleep(500);
        take("curve");
    }

    @Test
    void comparing() throws IOException {
        demo("Faint proof");
        interact(() -> bench().edit(project -> project.branched(0)));
        settle();
        interact(() -> bench().addStep(pixeron.step.catalog.StepLine.parse("power gamma=0.6")));
        settle();
        push(KeyCode.F6);
        sleep(600);
        clickOn("+ Result");
        sleep(600);
        clickOn("Differences");
        sleep(300);
        take("compare");
    }

    @Test
    void counting() throws IOException {
        demo("Three-bit sort");
        push(KeyCode.SHIFT, KeyCode.F4);
        for (int n = 0; n < 19; n++) {
            javafx.scene.Node next = lookup((javafx.scene.Node node) ->
                    "Count the next pixel".equals(node.getAccessibleText())).query();
            clickOn(next);
        }
        take("counting");
    }

    @Test
    void faintProof() throws IOException {
        demo("Faint proof");
        pick(6, 5);
        interact(() -> bench().hand().pickNextDifference());
        List.of(1, 2, 3, 4).forEach(n -> push(KeyCode.SHORTCUT, KeyCode.PLUS));
        take("wrong-value");
        push(KeyCode.SHORTCUT, KeyCode.SHIFT, KeyCode.D);
        push(KeyCode.SHIFT, KeyCode.F4);
        settle();
        take("dark");
    }

    private void step(String line) {
        interact(() -> bench().addStep(pixeron.step.catalog.StepLine.parse(line)));
        settle();
    }

    @Test
    void walking() throws IOException {
        demo("Dusty ornament");
        push(KeyCode.F9);
        interact(() -> {
            bench().walking().to(29);
            for (int n = 0; n < 12; n++) {
                bench().walking().oneMoment();
            }
        });
        sleep(300);
        take("walk");
        interact(() -> bench().walking().guessingProperty().set(true));
        interact(() -> bench().walking().to(11));
        sleep(300);
        take("guess");
        push(KeyCode.F9);
        interact(() -> bench().select(1));
        settle();
        pick(0, 3);
        sleep(300);
        take("median");
        interact(() -> bench().select(2));
        settle();
        pick(3, 5);
        sleep(300);
        take("gradient");
        interact(() -> bench().select(0));
        settle();
        push(KeyCode.F11);
        interact(() -> bench().walking().to(28));
        sleep(500);
        take("lecture");
        interact(() -> bench().walking().mistakenProperty().set(true));
        push(KeyCode.ESCAPE);
        sleep(500);
        take("in-place");
        interact(() -> {
            bench().walking().leave();
            bench().addStep(pixeron.step.catalog.StepLine.parse("kernel weights=\"1 2 3 4 5 6 7 | 0 1 0 2 0 3 0\""
                    + " sum=convolution border=periodic"));
            bench().pick(new Pixel(0, 1));
        });
        settle();
        sleep(300);
        take("turned");
    }

    @Test
    void slips() throws IOException {
        demo("Dusty ornament");
        // Three rows with zeros outside where the edge is repeated.
        interact(() -> bench().hand().edit(old -> {
            pixeron.byhand.HandSheet sheet = pixeron.byhand.HandSheet.EMPTY;
            pixeron.step.Operation slipped = pixeron.step.catalog.StepLine.parse(
                    "kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\"").bind(bench().project().chain().source());
            for (int n = 0; n < 24; n++) {
                Pixel pixel = new Pixel(n / 8, n % 8);
                sheet = sheet.with(pixel, pixeron.number.Decimals.table(slipped.value(pixel)));
            }
            return sheet;
        }));
        settle();
        pick(0, 2);
        clickOn("Slips");
        sleep(300);
        take("slips");
        interact(() -> bench().select(1));
        settle();
        interact(() -> bench().hand().edit(old -> {
            pixeron.byhand.HandSheet sheet = pixeron.byhand.HandSheet.EMPTY;
            pixeron.step.Step median = bench().project().chain().stage(1).link().step();
            pixeron.image.Image theirs = pixeron.step.catalog.StepLine.parse("kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\"")
                    .bind(bench().project().chain().source()).result(pixeron.step.Progress.NONE);
            for (int n = 0; n < 16; n++) {
                Pixel pixel = new Pixel(n / 8, n % 8);
                sheet = sheet.with(pixel, pixeron.number.Decimals.table(median.bind(theirs).value(pixel)));
            }
            return sheet;
        }));
        settle();
        sleep(300);
        take("chain");
    }

    @Test
    void hints() throws IOException {
        demo("Levels of the sort");
        pick(2, 3);
        clickOn("Slips");
        clickOn("Find it yourself");
        clickOn("Next hint");
        clickOn("Next hint");
        clickOn("Next hint");
        sleep(300);
        take("hints");
        clickOn("Show everything");
        sleep(300);
        take("start");
    }

    /** A slip that too few cells tell from another, two at once, and numbers on the way with an expression. */
    @Test
    void sure() throws IOException {
        demo("Dusty ornament");
        interact(() -> bench().hand().edit(old -> pixeron.byhand.HandSheet.EMPTY.with(new Pixel(0, 1), "(0+1+7+0+1+7)/9")
                .with(new Pixel(1, 0), "12").with(new Pixel(2, 0), "9")));
        settle();
        clickOn("Slips");
        sleep(300);
        take("sure");
        clickOn("Working");
        interact(() -> bench().edit(project -> project.withTable(0, "pixel 2,2", none -> none.with(java.util.Map.of(
                new pixeron.byhand.table.HandTable.Place("1", "sum"), "2000",
                new pixeron.byhand.table.HandTable.Place("1", "quotient"), "125")))));
        pick(2, 2);
        settle();
        sleep(300);
        take("numbers");
    }

    @Test
    void report() throws IOException {
        File page = folder.resolve("report.pdf").toFile();
        pixeron.report.ReportFile.write(page.toPath(), pixeron.report.ReportMaker.of(pixeron.project.demo.DemoCases.all().stream()
                .filter(demo -> demo.id().equals("levels-of-the-sort")).findFirst().orElseThrow().saved().project(),
                pixeron.step.Progress.NONE));
        try (org.apache.pdfbox.pdmodel.PDDocument document = org.apache.pdfbox.Loader.loadPDF(page)) {
            ImageIO.write(new org.apache.pdfbox.rendering.PDFRenderer(document).renderImageWithDPI(0, 100), "png",
                    new File(System.getProperty("pixeron.pictures"), "report.png"));
        }
    }
}
