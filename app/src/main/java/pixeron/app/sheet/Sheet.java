package pixeron.app.sheet;

import java.util.Objects;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.geometry.VPos;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.text.TextAlignment;
import pixeron.app.model.Seen;
import pixeron.app.model.Selection;
import pixeron.app.sheet.paint.Extent;
import pixeron.app.sheet.paint.MarkedPainter;
import pixeron.app.sheet.paint.NumberFont;
import pixeron.app.sheet.paint.Painter;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.theme.Palette;
import pixeron.app.theme.SharpCanvas;
import pixeron.app.theme.Theme;
import pixeron.image.Frame;
import pixeron.image.Frequency;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.step.Grip;

/**
 * A sheet of squared paper: row and column numbers along its edges, cells drawn by a {@link Painter}, the picked pixel
 * framed, the marked rectangle or line drawn over them. {@link Gestures} says what the mouse does.
 */
public final class Sheet extends Region {

    private static final double HALF_NUMBER = 6;

    private final SharpCanvas canvas;
    private final Viewport viewport;
    private final Theme theme;
    private final String name;
    private Painter painter;
    private Painter over;
    private Painter grips;
    private Pixel picked = new Pixel(0, 0);
    private Pixel partner;
    private Selection marked;
    private Frame frame;
    private int firstRow;
    private int firstColumn;
    private boolean isPaintDue;
    private boolean isShown = true;
    private final SheetCells cells = new SheetCells(this, getChildren());
    private Function<Pixel, String> words = pixel -> place(pixel) + ": " + says(pixel);
    private final Gestures gestures;

    /**
     * Creates an empty sheet.
     *
     * @param name what a screen reader calls it
     * @param viewport shared with the other sheets
     */
    public Sheet(String name, Viewport viewport, Theme theme) {
        this.name = name;
        this.viewport = viewport;
        this.theme = theme;
        getStyleClass().add("sheet-cells");
        canvas = new SharpCanvas(theme);
        getChildren().add(canvas);
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.TABLE_VIEW);
        setMinSize(80, 80);
        // The sheets live as long as the window and so does what they listen to.
        viewport.changesProperty().subscribe(change -> requestPaint());
        theme.paletteProperty().subscribe(change -> requestPaint());
        theme.scaleProperty().subscribe(scale -> requestLayout());
        theme.magnificationProperty().subscribe(factor -> requestLayout());
        focusedProperty().subscribe(change -> requestPaint());
        sceneProperty().subscribe(scene -> takePlace());
        gestures = new Gestures(this, viewport);
    }

    /**
     * Sets what the sheet shows.
     *
     * @param newPainter what is drawn; null for a sheet without anything on it
     */
    public void setPainter(Painter newPainter) {
        painter = newPainter;
        describe();
        requestPaint();
    }

    /**
     * Sets what is drawn over the cells.
     *
     * @param newOver what is drawn over the cells, such as what a walk covers; null for nothing
     */
    public void setOver(Painter newOver) {
        if (over != newOver) {
            over = newOver;
            describe();
            requestPaint();
        }
    }

    /**
     * Sets what can be dragged.
     *
     * @param newGrips what can be taken hold of, drawn over all else; null for nothing
     */
    public void setGrips(Painter newGrips) {
        if (grips != newGrips) {
            grips = newGrips;
            requestPaint();
        }
    }

    /** Returns true while something is on the sheet. */
    boolean isEditable() {
        return painter != null;
    }

    /**
     * Sets who is notified of a click.
     *
     * @param handler notified about a pixel that was clicked
     */
    public void setOnPick(Consumer<Pixel> handler) {
        gestures.setOnPick(handler);
    }

    /**
     * Sets who is notified of the pointer.
     *
     * @param handler notified about the pixel under the pointer, null when there is none
     */
    public void setOnHover(Consumer<Pixel> handler) {
        gestures.setOnHover(handler);
    }

    /**
     * Sets what dragging does.
     *
     * @param chooser says when the mouse is pressed what dragging does; null: it moves the image
     */
    public void setDragFor(Function<MouseEvent, Drag> chooser) {
        gestures.setDragFor(chooser);
    }

    /**
     * Sets what can be dragged at a place.
     *
     * @param chooser says what is taken hold of at a place, given how near to it the pointer must be, in cells; null for nothing
     */
    public void setHoldFor(BiFunction<Grip.Place, Double, Hold> chooser) {
        gestures.setHoldFor(chooser);
    }

    /**
     * Shows a marked rectangle or line.
     *
     * @param selection the marked rectangle or line, or null
     */
    public void setMarked(Selection selection) {
        marked = selection;
        requestPaint();
    }

    /**
     * @param row what the first row is called: 0 or 1, or its frequency
     * @param column what the first column is called
     */
    private void setFirst(int row, int column) {
        firstRow = row;
        firstColumn = column;
        describe();
        requestPaint();
    }

    /**
     * Calls rows and columns as they are called: those of a spectrum by their frequencies.
     *
     * @param seen what is on the sheet
     * @param first what the first row and column of anything else are called
     */
    public void callAs(Optional<Seen> seen, int first) {
        Optional<Frequency> corner = seen.flatMap(Seen::spectrum).map(spectrum -> spectrum.frequency(new Pixel(0, 0)));
        setFirst(corner.map(Frequency::u).orElse(first), corner.map(Frequency::v).orElse(first));
    }

    /**
     * Shows the picked pixel.
     *
     * @param pixel the picked pixel; null where nothing on this sheet is
     */
    public void setPicked(Pixel pixel) {
        boolean isOther = !Objects.equals(pixel, picked);
        picked = pixel;
        describe();
        if (isOther) {
            notifyAccessibleAttributeChanged(AccessibleAttribute.FOCUS_ITEM);
        }
        requestPaint();
    }

    /**
     * Shows the partner of the picked pixel.
     *
     * @param pixel the one that belongs to the picked one, such as its conjugate in a spectrum; null for none
     */
    public void setPartner(Pixel pixel) {
        partner = pixel;
        requestPaint();
    }

    private void describe() {
        setAccessibleText(picked == null ? name + ": the picked pixel is not used" : name + ", " + place(picked) + ": " + says(picked));
    }

    /**
     * Sets the text that a screen reader reads for a cell.
     *
     * @param newWords what a screen reader says of a cell: where it is and all that is there
     */
    public void setWords(Function<Pixel, String> newWords) {
        words = newWords;
    }

    String words(Pixel pixel) {
        return words.apply(pixel);
    }

    /** Returns what is on this sheet at a pixel, in words; that which is covered is not told. */
    public String says(Pixel pixel) {
        return painter == null ? "nothing" : over == null || over.describe(pixel).isEmpty() ? painter.describe(pixel) : over.describe(pixel);
    }

    private String place(Pixel pixel) {
        return "row " + (pixel.row() + firstRow) + ", column " + (pixel.column() + firstColumn);
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        return cells.answers(attribute) ? cells.answer(attribute, parameters) : super.queryAccessibleAttribute(attribute, parameters);
    }

    Pixel picked() {
        return picked;
    }

    /**
     * Sets the size of the image on this sheet.
     *
     * @param newFrame rows and columns of this sheet; null: those that the viewport has
     */
    public void setFrame(Frame newFrame) {
        if (!Objects.equals(frame, newFrame)) {
            frame = newFrame;
            requestLayout();
            requestPaint();
        }
    }

    /** Makes the sheet as large as the whole image with cells of this side, as in a figure. */
    public void fitTo(double cell) {
        // The number of the last column may be wider than its cell.
        double width = Math.ceil(gutter() + viewport.columns() * cell + HALF_NUMBER * theme.scale());
        double height = Math.ceil(header() + viewport.rows() * cell + 1);
        setMinSize(width, height);
        setPrefSize(width, height);
        setMaxSize(width, height);
    }

    /** Returns the rows and columns of this sheet as they are seen. */
    Extent extent() {
        return frame == null ? Extent.of(viewport) : Extent.of(viewport, frame);
    }

    /** Width of the row numbers; the same on all sheets, so that cells begin in the same place. */
    double gutter() {
        int digits = Math.max(number(viewport.rows() - 1 + firstRow).length(), number(firstRow).length());
        // Whole points, so that the edges of cells are sharp.
        return Math.ceil(Math.max(18, digits * 6.6 + 10) * theme.scale());
    }

    /** Height of the column numbers. */
    double header() {
        return Math.ceil(18 * theme.scale());
    }

    /** Returns left edge of a pixel's cell in this sheet. */
    double cellX(Pixel pixel) {
        return gutter() + viewport.x(pixel.column());
    }

    /** Returns top edge of a pixel's cell in this sheet. */
    double cellY(Pixel pixel) {
        return header() + viewport.y(pixel.row());
    }

    @Override
    protected void layoutChildren() {
        canvas.size(getWidth(), getHeight());
        if (isShown && getScene() != null) {
            viewport.setRoom(this, getWidth() - gutter() - 1, getHeight() - header() - 1);
        }
        requestPaint();
    }

    /** @param isSeen false while it is hidden: drawing on it would make the window draw what is in its place anew */
    void setShown(boolean isSeen) {
        isShown = isSeen;
        takePlace();
        requestPaint();
    }

    /** Only sheets that are seen have a say in how much all show. */
    private void takePlace() {
        if (isShown && getScene() != null) {
            requestLayout();
        } else {
            viewport.leave(this);
        }
    }

    /** Many changes of one moment are drawn once. */
    private void requestPaint() {
        if (!isPaintDue && isShown) {
            isPaintDue = true;
            Platform.runLater(() -> {
                isPaintDue = false;
                paint();
            });
        }
    }

    private void paint() {
        GraphicsContext graphics = canvas.begin();
        Palette palette = theme.palette();
        if (painter == null) {
            return;
        }
        graphics.setLineWidth(1);
        graphics.save();
        graphics.translate(gutter(), header());
        graphics.beginPath();
        graphics.rect(0, 0, canvas.across() - gutter(), canvas.tall() - header());
        graphics.clip();
        painter.paint(graphics, extent());
        if (over != null) {
            over.paint(graphics, extent());
        }
        if (marked != null) {
            new MarkedPainter(viewport, palette, theme.scale()).paint(graphics, marked, canvas.across() - gutter(), canvas.tall() - header());
        }
        if (partner != null) {
            graphics.setLineCap(StrokeLineCap.BUTT);
            graphics.setLineDashes(6, 5);
            paintFrame(graphics, palette, partner);
            graphics.setLineDashes();
            graphics.setLineCap(StrokeLineCap.SQUARE);
        }
        if (picked != null) {
            paintFrame(graphics, palette, picked);
        }
        if (grips != null) {
            grips.paint(graphics, extent());
        }
        graphics.restore();
        paintNumbers(graphics, palette);
    }

    private void paintFrame(GraphicsContext graphics, Palette palette, Pixel pixel) {
        double side = Math.max(viewport.cell(), 7);
        double middle = (viewport.cell() - side) / 2;
        // At the first row or column a frame that is larger than its cell stays on the sheet.
        double x = outside(viewport.x(pixel.column()) + middle, middle);
        double y = outside(viewport.y(pixel.row()) + middle, middle);
        double width = side >= 20 ? 3 : 2;
        graphics.setStroke(palette.picked());
        graphics.setLineWidth(width);
        graphics.strokeRect(x + width / 2, y + width / 2, side - width, side - width);
        if (isFocused() && pixel == picked) {
            // A second, dark line tells which of the sheets has the keyboard.
            graphics.setStroke(palette.ink());
            graphics.setLineWidth(1);
            graphics.strokeRect(x - 0.5, y - 0.5, side + 1, side + 1);
        }
        graphics.setLineWidth(1);
    }

    private static double outside(double place, double margin) {
        return Math.floor(place < 0 && place >= margin - 0.5 ? 0 : place);
    }

    private void paintNumbers(GraphicsContext graphics, Palette palette) {
        graphics.setFont(NumberFont.of(11 * theme.scale()));
        graphics.setTextBaseline(VPos.CENTER);
        double cell = viewport.cell();
        Extent extent = extent();
        int every = every(Math.max(gutter() + 4, 24), cell);
        int everyRow = every(16 * theme.scale(), cell);
        graphics.setTextAlign(TextAlignment.CENTER);
        for (int j = firstShown(extent.firstColumn(), every, firstColumn); j <= extent.lastColumn(); j += every) {
            double x = gutter() + viewport.x(j) + Math.min(cell, gutter()) / 2;
            if (viewport.x(j) >= -cell / 2) {
                graphics.setFill(picked != null && j == picked.column() ? palette.ink() : palette.soft());
                graphics.fillText(number(j + firstColumn), cell >= gutter() ? gutter() + viewport.x(j) + cell / 2
                        : x,
                        header() / 2);
            }
        }
        graphics.setTextAlign(TextAlignment.RIGHT);
        for (int i = firstShown(extent.firstRow(), everyRow, firstRow); i <= extent.lastRow(); i += everyRow) {
            if (viewport.y(i) >= -cell / 2) {
                graphics.setFill(picked != null && i == picked.row() ? palette.ink() : palette.soft());
                double y = header() + viewport.y(i) + Math.max(cell, Math.min(everyRow * cell, 12)) / 2;
                // The last one stays on the sheet, also in large type.
                graphics.fillText(number(i + firstRow), gutter() - 6,
                        Math.min(y, canvas.tall() - 5 * theme.scale()));
            }
        }
    }

    /** Returns 1, 2, 5, 10, … so that numbers are at least so many points apart. */
    private static int every(double apart, double cell) {
        int step = 1;
        for (int n = 0; step * cell < apart; n++) {
            step = n % 3 == 1 ? step / 2 * 5 : step * 2;
        }
        return step;
    }

    private static String number(int number) {
        return Decimals.working((long) number);
    }

    /** Of frequencies zero is always among those that are numbered. */
    private static int firstShown(int from, int step, int called) {
        int begin = Math.min(called, 0);
        return Math.floorDiv(from + begin + step - 1, step) * step - begin;
    }
}
