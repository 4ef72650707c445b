package pixeron.app.bench;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import pixeron.app.model.Bench;
import pixeron.app.model.Shown;
import pixeron.app.sheet.HandEditing;
import pixeron.app.sheet.HandPainter;
import pixeron.app.sheet.ImagePainter;
import pixeron.app.sheet.Sheet;
import pixeron.app.sheet.SheetFrame;
import pixeron.app.sheet.Viewport;
import pixeron.app.theme.Theme;
import pixeron.byhand.HandValue;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.Step;

/** Before, After and By hand side by side, with one zoom, one scroll and one picked pixel. */
public final class SheetsPane extends HBox {

    /** The three sheets. */
    public enum Kind {
        BEFORE("Before", "before"), AFTER("After", "after"), BY_HAND("By hand", "by-hand");

        private final String title;
        private final String role;

        Kind(String title, String role) {
            this.title = title;
            this.role = role;
        }

        /** @return its name */
        public String title() {
            return title;
        }
    }

    private static final double KEY_ZOOM = 1.25;
    private static final int PAGE = 10;

    private final Bench bench;
    private final Theme theme;
    private final Viewport viewport = new Viewport();
    private final Map<Kind, SheetFrame> frames = new EnumMap<>(Kind.class);
    private final Map<Kind, BooleanProperty> visible = new EnumMap<>(Kind.class);
    private final ToggleButton marks = new ToggleButton("Marks");
    private final Button openTable = new Button("Open…");
    private final ToleranceField tolerance;

    SheetsPane(Bench bench, Theme theme) {
        this.bench = bench;
        this.theme = theme;
        getStyleClass().add("sheets");
        for (Kind kind : Kind.values()) {
            addFrame(kind);
        }
        new HandEditing(frames.get(Kind.BY_HAND), () -> bench.pickedProperty().get(), this::textAt, this::write,
                this::goOn);
        tolerance = new ToleranceField(bench);
        marks.setSelected(true);
        marks.getStyleClass().add("quiet");
        marks.setTooltip(new Tooltip("Show which values agree; switch off to look for mistakes alone"));
        marks.selectedProperty().subscribe(isShown -> render());
        openTable.getStyleClass().add("quiet");
        openTable.setTooltip(new Tooltip("Open a table of values by hand (CSV, as large as the result)"));
        frames.get(Kind.BY_HAND).tools().getChildren().addAll(tolerance, openTable, marks);
        bench.shownProperty().subscribe(shown -> render());
        bench.pickedProperty().subscribe(pixel -> showPicked());
        theme.paletteProperty().subscribe(palette -> render());
    }

    private void addFrame(Kind kind) {
        Sheet sheet = new Sheet(kind.title, viewport, theme);
        sheet.setOnPick(bench::pick);
        sheet.addEventHandler(KeyEvent.KEY_PRESSED, this::keyPressed);
        SheetFrame frame = new SheetFrame(kind.title, kind.role, sheet);
        HBox.setHgrow(frame, Priority.ALWAYS);
        // All sheets share the room evenly, whatever stands on them.
        frame.setMinWidth(0);
        frame.setPrefWidth(100);
        BooleanProperty isVisible = new SimpleBooleanProperty(true);
        frame.visibleProperty().bind(isVisible);
        frame.managedProperty().bind(isVisible);
        frames.put(kind, frame);
        visible.put(kind, isVisible);
        getChildren().add(frame);
    }

    /** Whether a sheet is there; the last one cannot be hidden. */
    public BooleanProperty visibleProperty(Kind kind) {
        return visible.get(kind);
    }

    /** Shows or hides a sheet; the last one stays. */
    public void toggle(Kind kind) {
        BooleanProperty property = visible.get(kind);
        boolean isLast = property.get() && visible.values().stream().filter(BooleanProperty::get).count() == 1;
        property.set(!property.get() || isLast);
    }

    /** @return the button that opens a table of values by hand */
    public Button openTableButton() {
        return openTable;
    }

    public Viewport viewport() {
        return viewport;
    }

    /** Zooms in or out around the picked pixel. */
    public void zoom(boolean isIn) {
        viewport.zoomAround(isIn ? KEY_ZOOM : 1 / KEY_ZOOM, bench.pickedProperty().get());
    }

    /** @return the sheet, for the keyboard */
    public Sheet sheet(Kind kind) {
        return frames.get(kind).sheet();
    }

    private void render() {
        Shown shown = bench.shown();
        if (shown == null) {
            frames.values().forEach(frame -> frame.sheet().setPainter(null));
            return;
        }
        shown.before().ifPresent(before -> viewport.setImageSize(before.image().rows(), before.image().columns()));
        int characters = Math.max(show(Kind.BEFORE, shown.before()), show(Kind.AFTER, shown.after()));
        boolean isStep = shown.operation().isPresent();
        frames.get(Kind.BY_HAND).sheet().setPainter(isStep
                ? new HandPainter(shown.sheet(), shown.check(), theme, characters, marks.isSelected()) : null);
        openTable.setDisable(!isStep);
        tolerance.setDisable(!isStep);
        describe(shown);
        showPicked();
    }

    private int show(Kind kind, Optional<Shown.Described> described) {
        ImagePainter painter = described.map(d -> new ImagePainter(d.image(), d.facts(), theme)).orElse(null);
        frames.get(kind).sheet().setPainter(painter);
        frames.get(kind).setSubtitle(described.map(d -> Words.range(d.facts())).orElse(" "));
        return painter == null ? 1 : painter.characters();
    }

    private void describe(Shown shown) {
        int position = shown.position();
        SheetFrame before = frames.get(Kind.BEFORE);
        SheetFrame after = frames.get(Kind.AFTER);
        SheetFrame hand = frames.get(Kind.BY_HAND);
        before.setCaption(position <= 0 ? "image" : caption(shown, position - 1));
        after.setCaption(position < 0 ? "" : caption(shown, position));
        before.setHint(shown.before().isPresent() ? "" : "Nothing comes in: a step before this one cannot be applied.");
        after.setHint(shown.after().isPresent() ? "" : position < 0
                ? "Add or select a step: its result stands here, number beside number."
                        : "No result. The reason stands at the left, with the step.");
        boolean isStep = shown.operation().isPresent();
        hand.setHint(isStep ? "" : position < 0 ? "Select a step: your own values for its result go here."
                : shown.after().isPresent() ? "The step is off; switch it on to write its values by hand." : " ");
        hand.setSubtitle(!isStep ? " " : shown.sheet().isEmpty() ? "type, paste a table, or open a file"
                : marks.isSelected() ? Words.counts(shown.check(), shown.before().orElseThrow().image().count())
                : shown.check().filled() + " filled, marks are hidden");
    }

    private static String caption(Shown shown, int position) {
        Step step = shown.steps().get(position).link().step();
        return position + 1 + " · " + step.type().title();
    }

    private void showPicked() {
        Pixel picked = bench.pickedProperty().get();
        viewport.reveal(picked);
        frames.values().forEach(frame -> frame.sheet().setPicked(picked));
    }

    private void keyPressed(KeyEvent event) {
        Pixel at = bench.pickedProperty().get();
        Image image = bench.project().chain().source();
        Pixel next = switch (event.getCode()) {
            case UP -> new Pixel(at.row() - 1, at.column());
            case DOWN -> new Pixel(at.row() + 1, at.column());
            case LEFT -> new Pixel(at.row(), at.column() - 1);
            case RIGHT -> new Pixel(at.row(), at.column() + 1);
            case PAGE_UP -> new Pixel(at.row() - PAGE, at.column());
            case PAGE_DOWN -> new Pixel(at.row() + PAGE, at.column());
            case HOME -> event.isShortcutDown() ? new Pixel(0, 0) : new Pixel(at.row(), 0);
            case END -> new Pixel(event.isShortcutDown() ? image.rows() - 1 : at.row(), image.columns() - 1);
            default -> null;
        };
        if (next != null && !event.isAltDown()) {
            bench.pick(next);
            event.consume();
        }
    }

    private String textAt(Pixel pixel) {
        HandValue value = bench.project().sheet(bench.position()).cells().get(pixel);
        return value == null ? "" : value.text();
    }

    private void write(Pixel pixel, String text) {
        bench.editSheet(sheet -> sheet.with(pixel, text));
    }

    /** Behind the end of a row comes the next one, as one writes. */
    private void goOn(Pixel next) {
        Image image = bench.project().chain().source();
        if (next.column() >= image.columns() && next.row() + 1 < image.rows()) {
            bench.pick(new Pixel(next.row() + 1, 0));
        } else if (next.column() < 0 && next.row() > 0) {
            bench.pick(new Pixel(next.row() - 1, image.columns() - 1));
        } else {
            bench.pick(next);
        }
    }

    /** @return the frame of a sheet, for tests and pictures */
    Node frame(Kind kind) {
        return frames.get(kind);
    }
}
