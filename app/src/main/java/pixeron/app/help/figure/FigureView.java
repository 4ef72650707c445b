package pixeron.app.help.figure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import pixeron.app.bench.counts.HistogramPlot;
import pixeron.app.bench.curve.CurvePlot;
import pixeron.app.bench.curve.PlottedCurve;
import pixeron.app.model.Described;
import pixeron.app.model.Display;
import pixeron.app.model.Seen;
import pixeron.app.model.Selection;
import pixeron.app.sheet.Sheet;
import pixeron.app.sheet.paint.ColorPainter;
import pixeron.app.sheet.paint.ColorText;
import pixeron.app.sheet.paint.CoverPainter;
import pixeron.app.sheet.paint.HandPainter;
import pixeron.app.sheet.paint.ImagePainter;
import pixeron.app.sheet.paint.Look;
import pixeron.app.sheet.paint.Painter;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.sheet.paint.WindowPainter;
import pixeron.app.theme.Theme;
import pixeron.byhand.HandValue;
import pixeron.help.figure.Figure;
import pixeron.help.figure.Part;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Handle;

/** A figure of a page: its parts side by side, in the colors and the type size of the theme. Nothing in it can be changed. */
public final class FigureView extends FlowPane {

    /** The width that a page has for a figure, in points. */
    private static final double WIDTH = 575;
    /** The height that a grid of cells aims at. */
    private static final double GRID = 176;
    private static final double ONE_OF_TWO = 216;
    private static final double ONE_OF_THREE = 150;
    /** A wide grid may be so wide; two of them fit side by side. */
    private static final double WIDEST = 240;
    /** Three levels of a color pixel fit under one another. */
    private static final double LARGEST_CELL = 38;
    /** Smaller cells have no lines between them. */
    private static final int MOST_LINED = 11;
    private static final double COUNTS_WIDTH = 280;
    private static final double COUNTS_HEIGHT = 190;
    private static final double CURVE_WIDTH = 400;
    private static final double CURVE_HEIGHT = 290;

    private final Theme theme;
    private final double side;
    private final List<Runnable> sizes = new ArrayList<>();

    /**
     * Makes the figure.
     *
     * @param words what it shows, for readers who do not see it
     */
    public FigureView(Figure figure, String words, Theme theme) {
        this.theme = theme;
        side = side(figure);
        theme.loadNumbers();
        setPrefWrapLength(WIDTH);
        getStyleClass().add("figure");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText(words);
        setMouseTransparent(true);
        for (Part part : figure.parts()) {
            Label title = new Label(part.title());
            title.getStyleClass().add("figure-title");
            VBox box = new VBox(title, drawn(part));
            box.getStyleClass().add("figure-part");
            getChildren().add(box);
        }
        theme.scaleProperty().subscribe(scale -> sizes.forEach(Runnable::run));
    }

    private static double side(Figure figure) {
        boolean areGrids = figure.parts().stream().allMatch(part -> part instanceof Part.Cells || part instanceof Part.ByHand);
        return !areGrids ? GRID : figure.parts().size() > 2 ? ONE_OF_THREE : ONE_OF_TWO;
    }

    private Region drawn(Part part) {
        if (part instanceof Part.Cells cells) {
            return sheet(cells);
        } else if (part instanceof Part.ByHand byHand) {
            return sheet(byHand);
        } else if (part instanceof Part.Counts counts) {
            HistogramPlot plot = new HistogramPlot(theme, bin -> { }, (bin, isAfter) -> { });
            plot.show(counts.before(), counts.after(), new HistogramPlot.Style(1, false, counts.isCumulative()), Optional.empty());
            return sized(plot, COUNTS_WIDTH, COUNTS_HEIGHT);
        }
        Part.Curve curve = (Part.Curve) part;
        CurvePlot plot = new CurvePlot(theme, new Untouched());
        plot.setFocusTraversable(false);
        plot.show(Optional.of(new PlottedCurve(curve.mapping(), List.of(), curve.before().maximumLevel(), Optional.of(curve.before()), Optional.of(curve.after()))), -1);
        return sized(plot, CURVE_WIDTH, CURVE_HEIGHT);
    }

    private Region sized(Region plot, double width, double height) {
        sizes.add(() -> {
            plot.setMinSize(width * theme.scale(), height * theme.scale());
            plot.setPrefSize(width * theme.scale(), height * theme.scale());
        });
        return plot;
    }

    private Sheet sheet(Part.Cells part) {
        Seen seen = Seen.of(part.result());
        Frame frame = seen.frame();
        Look look = new Look(Display.PLAIN.withGrid(frame.columns() <= MOST_LINED), Optional.empty());
        Sheet sheet = sheet(part.title(), frame.rows(), frame.columns());
        sheet.setPainter(seen.hasColor() ? new ColorPainter(seen, new ColorText(look.display(), Image.VALUE, List.of(seen)), look, theme)
                : new ImagePainter(seen.face(Image.VALUE), look, theme));
        sheet.callAs(Optional.of(seen), 0);
        sheet.setPicked(part.picked().orElse(null));
        part.marked().ifPresent(area -> sheet.setMarked(new Selection.Rectangle(area)));
        sheet.setOver(over(part));
        return sheet;
    }

    private Painter over(Part.Cells part) {
        if (!part.window().isEmpty()) {
            return new WindowPainter(part.window(), part.window().size(), false, theme);
        }
        Frame frame = part.result().frame();
        return part.written() >= frame.count() ? null
                : new CoverPainter(pixel -> frame.offset(pixel) < part.written(), part.picked().orElse(null), frame.rows(), frame.columns(), theme);
    }

    private Sheet sheet(Part.ByHand part) {
        Sheet sheet = sheet(part.title(), part.rows(), part.columns());
        int characters = part.sheet().cells().values().stream().map(HandValue::text).mapToInt(String::length).max().orElse(1);
        sheet.setPainter(new HandPainter(part.sheet(), part.check(), theme, characters, true, Set.of()));
        sheet.setPicked(null);
        return sheet;
    }

    private Sheet sheet(String title, int rows, int columns) {
        Viewport viewport = new Viewport();
        viewport.setImageSize(rows, columns);
        Sheet sheet = new Sheet(title, viewport, theme);
        sheet.setFocusTraversable(false);
        double cell = Math.min(LARGEST_CELL, Math.min(Math.floor(side / rows), Math.floor(WIDEST / columns)));
        sizes.add(() -> sheet.fitTo(Math.floor(cell * theme.scale())));
        return sheet;
    }

    /** Nobody drags the curve of a figure. */
    private static final class Untouched implements CurvePlot.Listener {

        @Override
        public void drag(Handle handle, Rational level, Rational result) {
            // Nothing is changed.
        }

        @Override
        public void endDrag() {
            // Nothing was changed.
        }

        @Override
        public void add(Rational level, Rational result) {
            // Nothing is changed.
        }

        @Override
        public void remove(Handle handle) {
            // Nothing is changed.
        }
    }
}
