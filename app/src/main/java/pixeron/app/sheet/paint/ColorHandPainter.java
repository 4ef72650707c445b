package pixeron.app.sheet.paint;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;
import pixeron.app.model.Whole;
import pixeron.app.theme.Palette;
import pixeron.app.theme.Theme;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Verdict;
import pixeron.image.Pixel;
import pixeron.look.PackedPixel;

/**
 * Draws what the user wrote for the channels of pixels with color, one under the other as on the sheets beside it, each with
 * a mark of its own; where numbers do not fit, the mark of a cell is that of its first channel that is wrong.
 */
public final class ColorHandPainter implements Painter {

    private static final double MARKS_FROM = 14;
    private static final List<String> COLOURS = List.of("red", "green", "blue");

    private final Whole whole;
    private final ColorText text;
    private final Theme theme;
    private final boolean areMarksShown;
    /** What was written for a pixel, by the name of the channel. */
    private final Map<Pixel, Map<String, CellCheck>> cells = new TreeMap<>();

    /**
     * Creates a painter of color values that the user wrote, with the marks of their check.
     *
     * @param text which numbers are in the cells of the sheets beside this one
     * @param areMarksShown false while the user wants to find the mistakes alone
     */
    public ColorHandPainter(Whole whole, ColorText text, Theme theme, boolean areMarksShown) {
        this.whole = whole;
        this.text = text;
        this.theme = theme;
        this.areMarksShown = areMarksShown;
        whole.check().cells().forEach(cell -> cells.computeIfAbsent(whole.faces().pixel(cell.pixel()), pixel -> new LinkedHashMap<>())
                .put(whole.faces().face(cell.pixel()), cell));
    }

    @Override
    public void paint(GraphicsContext graphics, Extent extent) {
        Palette palette = theme.palette();
        Lines.paintPaper(graphics, extent, palette.panel(), palette.line());
        ColorText.Fit fit = text.fit(extent.cell(), theme.scale());
        cells.forEach((pixel, written) -> {
            if (pixel.row() >= extent.firstRow() && pixel.row() <= extent.lastRow()
                    && pixel.column() >= extent.firstColumn() && pixel.column() <= extent.lastColumn()) {
                paintCell(graphics, extent, pixel, written, fit);
            }
        });
    }

    private boolean isWrong(CellCheck cell) {
        return areMarksShown && cell.state() != Verdict.AGREES && !isFollowing(cell);
    }

    private boolean isFollowing(CellCheck cell) {
        return whole.work().following().contains(cell.pixel());
    }

    private void paintCell(GraphicsContext graphics, Extent extent, Pixel pixel, Map<String, CellCheck> written, ColorText.Fit fit) {
        Palette palette = theme.palette();
        double x = Math.floor(extent.x(pixel.column()));
        double y = Math.floor(extent.y(pixel.row()));
        double side = extent.cell();
        boolean isWrong = written.values().stream().anyMatch(this::isWrong);
        if (isWrong || side < Lines.SQUARES_FROM) {
            graphics.setFill(side >= Lines.SQUARES_FROM ? palette.differGround()
                    : isWrong ? palette.differ() : areMarksShown ? palette.agree() : palette.byHand());
            graphics.fillRect(x + 1, y + 1, Math.max(1, side - 1), Math.max(1, side - 1));
        }
        if (fit.font() != null) {
            paintNumbers(graphics, written, fit, x, y, side);
        } else if (side >= Lines.SQUARES_FROM && !areMarksShown) {
            graphics.setFill(palette.byHand());
            graphics.fillOval(x + side / 2 - 1.5, y + side / 2 - 1.5, 3, 3);
        }
        if (areMarksShown && fit.font() == null && side >= MARKS_FROM) {
            CellCheck told = written.values().stream().filter(this::isWrong).findFirst()
                    .orElseGet(() -> written.values().stream().filter(this::isFollowing).findFirst().orElseGet(() -> written.values().iterator().next()));
            new HandMarks(graphics, palette).paint(told, isFollowing(told), HandMarks.Place.middle(x, y, side));
        }
    }

    private void paintNumbers(GraphicsContext graphics, Map<String, CellCheck> written, ColorText.Fit fit, double x, double y, double side) {
        Palette palette = theme.palette();
        Optional<PackedPixel> packed = text.isPacked() ? packed(written) : Optional.empty();
        if (packed.isPresent()) {
            graphics.setTextAlign(TextAlignment.CENTER);
            graphics.setTextBaseline(VPos.CENTER);
            graphics.setFont(fit.font());
            graphics.setFill(written.values().stream().anyMatch(this::isWrong) ? palette.differ() : palette.byHand());
            List<String> halves = ColorText.packed(packed.get().hexadecimal());
            for (int line = 0; line < halves.size(); line++) {
                graphics.fillText(halves.get(line), x + side / 2, y + side / 2 + fit.offset(line, halves.size()));
            }
            return;
        }
        List<String> names = text.names();
        for (int line = 0; line < names.size(); line++) {
            CellCheck cell = written.get(names.get(line));
            if (cell != null) {
                double at = y + side / 2 + fit.offset(line, names.size());
                double mark = areMarksShown ? Math.floor(fit.font().getSize() * 0.6) : 0;
                graphics.setTextAlign(TextAlignment.RIGHT);
                graphics.setTextBaseline(VPos.CENTER);
                graphics.setFont(fit.font());
                graphics.setFill(isWrong(cell) ? palette.differ() : palette.byHand());
                String number = cell.byHand().text();
                int room = (int) Math.floor((side - 5 - mark) / (fit.font().getSize() * 0.6));
                graphics.fillText(number.length() <= room ? number : number.substring(0, Math.max(0, room - 1)) + "…", x + side - 5 - mark, at);
                if (areMarksShown) {
                    new HandMarks(graphics, palette).paint(cell, isFollowing(cell), new HandMarks.Place(x + side - 3, at - mark / 2, mark, false));
                }
            }
        }
    }

    /** Returns the written levels as one number; empty where one of red, green and blue is missing or is no level. */
    private static Optional<PackedPixel> packed(Map<String, CellCheck> written) {
        return PackedPixel.parse(Stream.concat(COLOURS.stream(), written.containsKey("alpha") ? Stream.of("alpha") : Stream.empty())
                .map(name -> written.containsKey(name) ? written.get(name).byHand().text() : "").toList());
    }

    @Override
    public String describe(Pixel pixel) {
        Map<String, CellCheck> written = cells.getOrDefault(pixel, new HashMap<>());
        List<String> words = new ArrayList<>();
        written.forEach((name, cell) -> words.add(name + " " + cell.byHand().text() + (!areMarksShown ? ""
                : isFollowing(cell) ? " correct for your own earlier values" : " " + HandPainter.words(cell))));
        return words.isEmpty() ? "not filled" : String.join(", ", words);
    }
}
