package pixeron.app.bench.sheets;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import pixeron.PixeronException;
import pixeron.Wording;
import pixeron.app.bench.walk.WalkSheets;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Pointed;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.app.model.Target;
import pixeron.app.sheet.CellEditing;
import pixeron.app.sheet.Overview;
import pixeron.app.sheet.Sheet;
import pixeron.app.sheet.SheetFrame;
import pixeron.app.sheet.paint.GripPainter;
import pixeron.app.sheet.paint.Viewport;
import pixeron.app.theme.Theme;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.make.Brush;
import pixeron.make.Drawing;
import pixeron.number.Decimals;
import pixeron.step.Grip;
import pixeron.step.Wave;
import pixeron.step.key.ChannelsParameter;

/** Before, After and By hand side by side, with one zoom, one scroll and one picked pixel. */
public final class SheetsPane extends HBox {

    /** The sheets from left to right; the second image of a step has one as well. */
    public enum Kind {
        BEFORE("Before", "before", 1, Grip.On.BEFORE), OTHER("Other image", "before", 4, Grip.On.OTHER), AFTER("After", "after", 2, Grip.On.AFTER),
        BY_HAND("By hand", "by-hand", 3, null);

        private final String title;
        private final String role;
        private final int key;
        private final Grip.On grips;

        Kind(String title, String role, int key, Grip.On grips) {
            this.title = title;
            this.role = role;
            this.key = key;
            this.grips = grips;
        }

        /** Returns the digit that shows or hides it. */
        public int key() {
            return key;
        }

        /** Returns its name. */
        public String title() {
            return title;
        }
    }

    private final Bench bench;
    private final Theme theme;
    private final SheetPainters painters;
    private final Viewport viewport = new Viewport();
    private final Map<Kind, SheetFrame> frames = new EnumMap<>(Kind.class);
    private final Map<Kind, BooleanProperty> visible = new EnumMap<>(Kind.class);
    /** The sheet that has all the room; null where they share it. */
    private final ObjectProperty<Kind> large = new SimpleObjectProperty<>();
    private final List<SheetFrame> channels = new ArrayList<>();
    private final SheetKeys keys;
    private final SheetDrags drags;
    private final SheetGrips grips;
    private final Captions captions;
    private final Overview overview;
    private final PictureCard picture;
    private final ToggleButton marks = new ToggleButton("Marks");
    private final Button openTable = new Button("Open…");
    private final ToleranceField tolerance;
    private final AsideSheet aside;
    private boolean hadHand = true;

    /**
     * Creates the three sheets Before, After and By hand.
     *
     * @param say shows one line for a moment
     */
    public SheetsPane(Bench bench, Theme theme, Consumer<String> say) {
        this.bench = bench;
        this.theme = theme;
        painters = new SheetPainters(bench, theme);
        keys = new SheetKeys(bench);
        ToolBar tools = new ToolBar(bench);
        drags = new SheetDrags(bench, tools::level, say);
        grips = new SheetGrips(bench, say);
        tolerance = new ToleranceField(bench);
        overview = new Overview(viewport, theme);
        picture = new PictureCard(theme);
        getStyleClass().add("sheets");
        for (Kind kind : Kind.values()) {
            SheetFrame frame = frame(kind.title, kind.role, () -> kind == Kind.BEFORE);
            frames.put(kind, frame);
            if (kind != Kind.OTHER) {
                frame.sheet().setWords(pixel -> CellWords.of(bench, this, kind, pixel));
            }
            if (kind.grips != null) {
                frame.sheet().setHoldFor((place, reach) -> grips.at(kind.grips, place, reach));
            }
            visible.put(kind, new SimpleBooleanProperty(true));
            visible.get(kind).subscribe(isVisible -> showFrames());
        }
        frames.get(Kind.BEFORE).tools().getChildren().add(tools);
        frames.get(Kind.BEFORE).setOverview(overview);
        new CellEditing(frames.get(Kind.BY_HAND), this::isAnswerable, bench.pickedProperty()::get, bench.hand()::text,
                () -> handWriter(say), next -> goOn(next, bench.shown().grid(), bench::pick));
        new CellEditing(frames.get(Kind.BEFORE), () -> bench.isDrawable() && bench.pickedBeforeProperty().get() != null,
                bench.pickedBeforeProperty()::get,
                pixel -> bench.project().chain().input().faces().stream().map(face -> Decimals.table(face.image().value(pixel))).collect(Collectors.joining(" ")),
                () -> (pixel, text) -> writeSample(pixel, text, say), next -> goOn(next, bench.shown().gridBefore(), bench::pickBefore));
        addHandTools();
        frames.forEach((kind, frame) -> frame.addCornerControl(new LargeButton(kind.title, large, kind)));
        large.subscribe(kind -> showFrames());
        getChildren().add(picture);
        Sheet other = frames.get(Kind.OTHER).sheet();
        other.setOnPick(bench::pickOther);
        other.setOnHover(pixel -> bench.looking().hoverProperty().set(null));
        aside = new AsideSheet(bench, this::render);
        captions = new Captions(bench, painters, aside);
        frames.get(Kind.AFTER).tools().getChildren().addAll(new ToLevels(bench), aside.button());
        new WalkSheets(bench, theme, frames.get(Kind.BEFORE).sheet(), frames.get(Kind.AFTER).sheet(),
                frames.get(Kind.BY_HAND).sheet());
        bench.walking().mistakeProperty().subscribe(found -> render());
        bench.looking().hintsProperty().subscribe(taken -> render());
        bench.shownProperty().subscribe(shown -> render());
        bench.projectProperty().subscribe(project -> showGrips());
        grips.draggedProperty().subscribe(name -> showGrips());
        bench.looking().colorViewProperty().subscribe(view -> render());
        bench.looking().displayProperty().subscribe(display -> render());
        bench.pickedProperty().subscribe(pixel -> showPicked());
        bench.pickedBeforeProperty().subscribe(pixel -> showPicked());
        bench.looking().selectionProperty().subscribe(marked -> all().forEach(frame -> frame.sheet().setMarked(marked)));
        theme.paletteProperty().subscribe(palette -> render());
    }

    /** Adds a control to the corner of a sheet. */
    public void addCornerControl(Kind kind, Node control) {
        frames.get(kind).addCornerControl(control);
    }

    private void addHandTools() {
        marks.setSelected(true);
        marks.getStyleClass().add("quiet");
        marks.setTooltip(new Tooltip("Show which values agree. Switch it off to find mistakes yourself."));
        marks.selectedProperty().subscribe(isShown -> render());
        openTable.getStyleClass().add("quiet");
        openTable.setTooltip(new Tooltip("Open a table of values by hand (CSV, same size as the result)"));
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
        // All sheets share the room evenly, whatever is on them.
        frame.setMinWidth(0);
        frame.setPrefWidth(100);
        getChildren().add(frame);
        return frame;
    }

    /** Most images have no color, so the sheets of channels are made when the first one has. */
    private void makeChannels() {
        for (String name : ChannelsParameter.ALL) {
            SheetFrame frame = frame(Wording.capital(name), Kind.BEFORE.role, () -> painters.apart().filter(SheetPainters.Apart::isAfter).isEmpty());
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
            large.set(null);
            hadHand = visible.get(Kind.BY_HAND).get();
            visible.get(Kind.BEFORE).set(true);
            visible.get(Kind.AFTER).set(true);
        }
        visible.get(Kind.BY_HAND).set(!isOn && hadHand || isOn && bench.walking().guessingProperty().get());
    }

    /** Shows or hides a sheet; the last one stays. */
    public void toggle(Kind kind) {
        BooleanProperty property = visible.get(kind);
        boolean isLast = property.get() && kind != Kind.OTHER && visible.entrySet().stream().filter(shown -> shown.getKey() != Kind.OTHER
                && shown.getValue().get()).count() == 1;
        property.set(!property.get() || isLast);
    }

    /** The sheet that is shown alone and large; null where all that are visible share the room. */
    public ObjectProperty<Kind> largeProperty() {
        return large;
    }

    /** Makes the sheet that has the keyboard large, After where none has it; or shows all again. */
    public void toggleLarge() {
        Kind focused = frames.entrySet().stream().filter(entry -> entry.getValue().sheet().isFocused()).map(Map.Entry::getKey).findFirst()
                .orElse(Kind.AFTER);
        large.set(large.get() == null ? focused : null);
    }

    /** Returns the button that opens a table of values by hand. */
    public Button openTableButton() {
        return openTable;
    }

    public Viewport viewport() {
        return viewport;
    }

    /** Returns the sheet, for the keyboard. */
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
        boolean hasOther = bench.shown() != null && bench.shown().other().isPresent();
        // The image itself has no result and nothing to write: it has all the room, and its picture is beside its numbers.
        boolean isAlone = bench.shown() != null && bench.shown().position() < 0 && apart.isEmpty();
        show(picture, isAlone);
        boolean isLarge = large.get() != null && apart.isEmpty() && (large.get() != Kind.OTHER || hasOther);
        frames.forEach((kind, frame) -> show(frame, apart.isPresent() || isAlone ? kind == beside
                : isLarge ? kind == large.get() : visible.get(kind).get() && (kind != Kind.OTHER || hasOther)));
        // Beside a second image in large type there is no room for it.
        boolean isTight = hasOther && visible.get(Kind.OTHER).get() && theme.isLarge();
        tolerance.setVisible(!isTight);
        tolerance.setManaged(!isTight);
        for (int n = 0; n < channels.size(); n++) {
            int place = n;
            show(channels.get(n), apart.filter(found -> place < found.names().size()).isPresent());
        }
    }

    private static void show(Node frame, boolean isShown) {
        frame.setVisible(isShown);
        frame.setManaged(isShown);
    }

    private void render() {
        showFrames();
        Shown shown = bench.shown();
        int first = bench.looking().display().first();
        all().forEach(frame -> frame.sheet().callAs(Optional.empty(), first));
        if (shown == null) {
            all().forEach(frame -> frame.sheet().setPainter(null));
            overview.setPainter(null);
            // What is opened next is shown whole, also when it is as large as what was here.
            viewport.fit();
            return;
        }
        List<Frame> sizes = Stream.concat(Stream.of(shown.grid(), shown.gridBefore()), shown.other().stream().map(other -> other.seen().frame())).toList();
        viewport.setImageSize(sizes.stream().mapToInt(Frame::rows).max().orElseThrow(), sizes.stream().mapToInt(Frame::columns).max().orElseThrow());
        frames.get(Kind.BEFORE).sheet().setFrame(shown.gridBefore());
        frames.get(Kind.AFTER).sheet().setFrame(shown.grid());
        frames.get(Kind.BY_HAND).sheet().setFrame(shown.grid());
        frames.get(Kind.BEFORE).sheet().callAs(shown.seenBefore(), first);
        frames.get(Kind.AFTER).sheet().callAs(shown.seenAfter(), first);
        frames.get(Kind.BY_HAND).sheet().callAs(shown.seenAfter(), first);
        painters.show(frames.get(Kind.BEFORE), shown.seenBefore(), false, Optional.empty());
        painters.show(frames.get(Kind.AFTER), shown.seenAfter(), true, mistake().or(aside::sheet));
        shown.other().ifPresent(other -> {
            frames.get(Kind.OTHER).sheet().setFrame(other.seen().frame());
            painters.show(frames.get(Kind.OTHER), Optional.of(other.seen()), false, Optional.empty());
        });
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
        picture.show(painters.overview(), shown.gridBefore());
        openTable.setDisable(!isStep);
        tolerance.setDisable(!isStep);
        captions.show(shown, frames, areMarksShown());
        showPicked();
        showGrips();
    }

    private boolean areMarksShown() {
        return marks.isSelected() && !bench.looking().isAlone();
    }

    /** What is in the place of After while the mistake of the loops is shown. */
    private Optional<Described> mistake() {
        return Optional.ofNullable(bench.walking().mistakeProperty().get());
    }

    private void showPicked() {
        Pixel after = bench.goneProperty().get() ? null : bench.pickedProperty().get();
        Pixel before = bench.pickedBeforeProperty().get();
        viewport.reveal(after == null ? before : after);
        picture.lookAt(after == null ? before : after);
        frames.forEach((kind, frame) -> frame.sheet().setPicked(kind == Kind.BEFORE ? before : after));
        frames.get(Kind.OTHER).sheet().setPicked(after == null || bench.shown() == null ? null : bench.shown().placeInOther(after).orElse(null));
        Pixel mate = after == null || bench.shown() == null ? null : bench.shown().wave(after).filter(wave -> !wave.isAlone()).map(Wave::mate).orElse(null);
        boolean isBeforeToo = bench.shown() != null && bench.shown().seenBefore().filter(Seen::isSpectrum).isPresent();
        frames.forEach((kind, frame) -> frame.sheet().setPartner(kind == Kind.OTHER || kind == Kind.BEFORE && !isBeforeToo ? null : mate));
        boolean isAfter = bench.shown() != null && painters.apart().filter(SheetPainters.Apart::isAfter).isPresent();
        channels.forEach(frame -> frame.sheet().setPicked(isAfter ? after : before));
    }

    /** As the step now is: while something is dragged, its place is seen before what comes of it. */
    private void showGrips() {
        int first = bench.looking().display().first();
        frames.forEach((kind, frame) -> {
            List<Grip> there = kind.grips == null ? List.of() : grips.on(kind.grips);
            frame.sheet().setGrips(there.isEmpty() ? null : new GripPainter(there, grips.draggedProperty().get(), first, theme));
        });
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
                Brush brush = Brush.of(text, bench.project().chain().input());
                bench.draw(null, on -> brush.draw(on, (image, value) -> Drawing.dot(image, pixel, value)));
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

    /** Returns the frame of a sheet, for tests and pictures. */
    Node frame(Kind kind) {
        return frames.get(kind);
    }
}
