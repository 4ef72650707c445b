package pixeron.app.bench.sheets;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import pixeron.PixeronException;
import pixeron.app.bench.parts.Words;
import pixeron.app.bench.walk.WalkSheets;
import pixeron.app.model.Bench;
import pixeron.app.model.Pointed;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.app.model.Target;
import pixeron.app.sheet.CellEditing;
import pixeron.app.sheet.Overview;
import pixeron.app.sheet.Sheet;
import pixeron.app.sheet.SheetFrame;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.theme.Theme;
import pixeron.byhand.Check;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.make.Drawing;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Step;
import pixeron.step.key.ChannelsParameter;

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

    private final Bench bench;
    private final Theme theme;
    private final SheetPainters painters;
    private final Viewport viewport = new Viewport();
    private final Map<Kind, SheetFrame> frames = new EnumMap<>(Kind.class);
    private final Map<Kind, BooleanProperty> visible = new EnumMap<>(Kind.class);
    private final List<SheetFrame> channels = new ArrayList<>();
    private final SheetKeys keys;
    private final SheetDrags drags;
    private final Overview overview;
    private final ToggleButton marks = new ToggleButton("Marks");
    private final Button openTable = new Button("Open…");
    private final ToleranceField tolerance;
    private final AsideSheet aside;
    private boolean hadHand = true;

    /** @param say shows one line for a moment */
    public SheetsPane(Bench bench, Theme theme, Consumer<String> say) {
        this.bench = bench;
        this.theme = theme;
        painters = new SheetPainters(bench, theme);
        keys = new SheetKeys(bench);
        ToolBar tools = new ToolBar(bench);
        drags = new SheetDrags(bench, tools::level, say);
        overview = new Overview(viewport, theme);
        getStyleClass().add("sheets");
        for (Kind kind : Kind.values()) {
            SheetFrame frame = frame(kind.title, kind.role, () -> kind == Kind.BEFORE);
            frames.put(kind, frame);
            visible.put(kind, new SimpleBooleanProperty(true));
            visible.get(kind).subscribe(isVisible -> showFrames());
        }
        frames.get(Kind.BEFORE).tools().getChildren().add(tools);
        frames.get(Kind.BEFORE).setOverview(overview);
        new CellEditing(frames.get(Kind.BY_HAND), this::isAnswerable, bench.pickedProperty()::get, bench.hand()::text,
                () -> handWriter(say), next -> goOn(next, bench.shown().grid(), bench::pick));
        new CellEditing(frames.get(Kind.BEFORE), () -> bench.isDrawable() && bench.pickedBeforeProperty().get() != null,
                bench.pickedBeforeProperty()::get,
                pixel -> Decimals.table(bench.project().chain().source().value(pixel)),
                () -> (pixel, text) -> writeSample(pixel, text, say), next -> goOn(next, bench.shown().gridBefore(), bench::pickBefore));
        tolerance = new ToleranceField(bench);
        addHandTools();
        aside = new AsideSheet(bench, this::render);
        frames.get(Kind.AFTER).tools().getChildren().addAll(new ToLevels(bench), aside.button());
        new WalkSheets(bench, theme, frames.get(Kind.BEFORE).sheet(), frames.get(Kind.AFTER).sheet(),
                frames.get(Kind.BY_HAND).sheet());
        bench.walking().mistakeProperty().subscribe(found -> render());
        bench.looking().hintsProperty().subscribe(taken -> render());
        bench.shownProperty().subscribe(shown -> render());
        bench.looking().colourViewProperty().subscribe(view -> render());
        bench.looking().displayProperty().subscribe(display -> render());
        bench.pickedProperty().subscribe(pixel -> showPicked());
        bench.pickedBeforeProperty().subscribe(pixel -> showPicked());
        bench.looking().selectionProperty().subscribe(marked -> all().forEach(frame -> frame.sheet().setMarked(marked)));
        theme.paletteProperty().subscribe(palette -> render());
    }

    private void addHandTools() {
        marks.setSelected(true);
        marks.getStyleClass().add("quiet");
        marks.setTooltip(new Tooltip("Show which values agree; switch off to look for mistakes alone"));
        marks.selectedProperty().subscribe(isShown -> render());
        openTable.getStyleClass().add("quiet");
        openTable.setTooltip(new Tooltip("Open a table of values by hand (CSV, as large as the result)"));
        frames.get(Kind.BY_HAND).tools().getChildren().addAll(tolerance, openTable, marks);
    }

    private SheetFrame frame(String title, String role, BooleanSupplier isBefore) {
        Sheet sheet = new Sheet(title, viewport, theme);
        sheet.setOnPick(pixel -> {
            if (isBefore.getAsBoolean()) {
                bench.pickBefore(pixel);
            } else {
                bench.pick(pixel);
            }
        });
        sheet.setOnHover(pixel -> bench.looking().hoverProperty().set(pixel == null ? null : new Pointed(pixel, isBefore.getAsBoolean())));
        sheet.setDragFor(drags::begin);
        sheet.addEventHandler(KeyEvent.KEY_PRESSED, event -> keys.pressed(event, isBefore.getAsBoolean()));
        SheetFrame frame = new SheetFrame(title, role, sheet);
        HBox.setHgrow(frame, Priority.ALWAYS);
        // All sheets share the room evenly, whatever stands on them.
        frame.setMinWidth(0);
        frame.setPrefWidth(100);
        getChildren().add(frame);
        return frame;
    }

    /** Most images have no colour, so the sheets of channels are made when the first one has. */
    private void makeChannels() {
        for (String name : ChannelsParameter.ALL) {
            SheetFrame frame = frame(Words.capital(name), Kind.BEFORE.role, () -> painters.apart().filter(SheetPainters.Apart::isAfter).isEmpty());
            frame.sheet().addEventHandler(MouseEvent.MOUSE_PRESSED, event -> bench.looking().channelProperty().set(name));
            channels.add(frame);
        }
        getChildren().removeAll(channels);
        // Behind Before, in front of After.
        getChildren().addAll(1, channels);
        channels.forEach(frame -> frame.sheet().setMarked(bench.looking().selectionProperty().get()));
    }

    private List<SheetFrame> all() {
        List<SheetFrame> all = new ArrayList<>(channels);
        all.addAll(frames.values());
        return all;
    }

    /** Whether a sheet is there; the last one cannot be hidden. */
    public BooleanProperty visibleProperty(Kind kind) {
        return visible.get(kind);
    }

    /** In a lecture Before and After have all the room; values by hand come back with what was there before. */
    public void setLecture(boolean isOn) {
        if (isOn) {
            hadHand = visible.get(Kind.BY_HAND).get();
            visible.get(Kind.BEFORE).set(true);
            visible.get(Kind.AFTER).set(true);
        }
        visible.get(Kind.BY_HAND).set(!isOn && hadHand || isOn && bench.walking().guessingProperty().get());
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

    /** Channels side by side take the places of what is hidden meanwhile. */
    private void showFrames() {
        if (frames.size() < Kind.values().length || visible.size() < Kind.values().length) {
            return;
        }
        Optional<SheetPainters.Apart> apart = painters.apart();
        if (apart.isPresent() && channels.isEmpty()) {
            makeChannels();
        }
        Kind beside = bench.shown() != null && bench.shown().position() < 0 ? Kind.BEFORE : Kind.AFTER;
        frames.forEach((kind, frame) -> show(frame, apart.isPresent() ? kind == beside : visible.get(kind).get()));
        for (int n = 0; n < channels.size(); n++) {
            int place = n;
            show(channels.get(n), apart.filter(found -> place < found.names().size()).isPresent());
        }
    }

    private static void show(SheetFrame frame, boolean isShown) {
        frame.setVisible(isShown);
        frame.setManaged(isShown);
    }

    private void render() {
        showFrames();
        Shown shown = bench.shown();
        all().forEach(frame -> frame.sheet().setFirst(bench.looking().display().first()));
        if (shown == null) {
            all().forEach(frame -> frame.sheet().setPainter(null));
            overview.setPainter(null);
            return;
        }
        viewport.setImageSize(Math.max(shown.grid().rows(), shown.gridBefore().rows()),
                Math.max(shown.grid().columns(), shown.gridBefore().columns()));
        frames.get(Kind.BEFORE).sheet().setFrame(shown.gridBefore());
        frames.get(Kind.AFTER).sheet().setFrame(shown.grid());
        frames.get(Kind.BY_HAND).sheet().setFrame(shown.grid());
        painters.show(frames.get(Kind.BEFORE), shown.seenBefore(), false, Optional.empty());
        painters.show(frames.get(Kind.AFTER), shown.seenAfter(), true, mistake().or(aside::sheet));
        painters.apart().ifPresent(apart -> {
            for (int n = 0; n < apart.names().size(); n++) {
                SheetFrame frame = channels.get(n);
                frame.setRole(apart.isAfter() ? Kind.AFTER.role : Kind.BEFORE.role);
                frame.sheet().setFrame(apart.seen().frame());
                painters.show(frame, Optional.of(apart.seen().faces().get(n)), apart.isAfter());
            }
        });
        boolean isStep = shown.operation().isPresent();
        frames.get(Kind.BY_HAND).sheet().setPainter(painters.byHand(areMarksShown()));
        overview.setPainter(painters.overview());
        openTable.setDisable(!isStep);
        tolerance.setDisable(!isStep);
        describe(shown);
        showPicked();
    }

    private boolean areMarksShown() {
        return marks.isSelected() && !bench.looking().isAlone();
    }

    /** What stands in the place of After while the mistake of writing in place is shown. */
    private Optional<Shown.Described> mistake() {
        return Optional.ofNullable(bench.walking().mistakeProperty().get());
    }

    private void describe(Shown shown) {
        int position = shown.position();
        SheetFrame before = frames.get(Kind.BEFORE);
        SheetFrame after = frames.get(Kind.AFTER);
        SheetFrame hand = frames.get(Kind.BY_HAND);
        before.setCaption(painters.apart().isPresent() ? "" : (position <= 0 ? "image" : caption(shown, position - 1)) + channel(shown.seenBefore()));
        after.setCaption(position < 0 ? "" : mistake().isPresent() ? "▲ in place" : aside.sheet().isPresent() ? ""
                : caption(shown, position) + channel(shown.seenAfter()));
        before.setHint(shown.before().isPresent() ? ""
                : "Nothing comes in: a step before this one cannot be applied.");
        after.setHint(shown.after().isPresent() ? "" : position < 0
                ? "Add or select a step: its result stands here, number beside number."
                        : "No result. The reason stands at the left, with the step.");
        boolean isStep = shown.operation().isPresent();
        boolean isWhole = bench.hand().isWhole();
        Check check = bench.hand().check();
        int answers = isWhole ? shown.answers() * shown.seenAfter().orElseThrow().faces().size() : shown.answers();
        hand.setCaption(isWhole ? "" : channel(shown.seenAfter()).replace(", ", ""));
        hand.setHint(isStep ? "" : position < 0 ? "Select a step: your own values for its result go here."
                : shown.after().isPresent() ? "The step is off; switch it on to write its values by hand." : " ");
        hand.setSubtitle(!isStep ? " " : check.filled() == 0 ? isWhole ? "type three numbers, or 0xRRGGBB" : "type, paste a table, or open a file"
                : areMarksShown() ? Words.counts(check, answers) : check.filled() + " filled, marks are hidden");
    }

    /** The channel that is looked at, where one is. */
    private String channel(Optional<Seen> seen) {
        return seen.filter(found -> found.hasColour() && !bench.looking().isWhole()).map(found -> ", " + found.name(bench.shown().channel())).orElse("");
    }

    private static String caption(Shown shown, int position) {
        if (position < 0) {
            return "image";
        }
        Step step = shown.steps().get(position).link().step();
        return position + 1 + " · " + step.type().title();
    }

    private void showPicked() {
        Pixel after = bench.goneProperty().get() ? null : bench.pickedProperty().get();
        Pixel before = bench.pickedBeforeProperty().get();
        viewport.reveal(after == null ? before : after);
        frames.forEach((kind, frame) -> frame.sheet().setPicked(kind == Kind.BEFORE ? before : after));
        boolean isAfter = bench.shown() != null && painters.apart().filter(SheetPainters.Apart::isAfter).isPresent();
        channels.forEach(frame -> frame.sheet().setPicked(isAfter ? after : before));
    }

    /** A result may be smaller than what it is made of; beyond it there is nothing to answer. */
    private boolean isAnswerable() {
        return bench.shown() != null && !bench.goneProperty().get() && bench.shown().operation()
                .filter(operation -> operation.contains(bench.pickedProperty().get())).isPresent();
    }

    /** What is typed belongs to the step that was selected when typing began. */
    private BiConsumer<Pixel, String> handWriter(Consumer<String> say) {
        Target target = bench.hand().target();
        return (pixel, text) -> {
            boolean isGuess = bench.walking().waitsFor(pixel) && !text.isBlank();
            try {
                bench.hand().write(target, pixel, text);
            } catch (PixeronException noSuchCell) {
                say.accept(noSuchCell.getMessage());
                return;
            }
            if (isGuess) {
                bench.walking().guessed(text);
            }
        };
    }

    /** A sample of the image itself; what is no number leaves it as it is. */
    private void writeSample(Pixel pixel, String text, Consumer<String> say) {
        try {
            if (!text.isBlank()) {
                Value value = SheetDrags.level(text.strip(), bench.project().chain().source().maximumLevel());
                bench.draw(null, image -> Drawing.dot(image, pixel, value));
            }
        } catch (PixeronException noNumber) {
            say.accept(noNumber.getMessage());
        }
    }

    /** Behind the end of a row comes the next one, as one writes. */
    private void goOn(Pixel next, Frame frame, Consumer<Pixel> pick) {
        if (bench.walking().isOn() && bench.walking().guessingProperty().get()) {
            // The walk says where it goes on.
            return;
        }
        if (next.column() >= frame.columns() && next.row() + 1 < frame.rows()) {
            pick.accept(new Pixel(next.row() + 1, 0));
        } else if (next.column() < 0 && next.row() > 0) {
            pick.accept(new Pixel(next.row() - 1, frame.columns() - 1));
        } else {
            pick.accept(next);
        }
    }

    /** @return the frame of a sheet, for tests and pictures */
    Node frame(Kind kind) {
        return frames.get(kind);
    }
}
