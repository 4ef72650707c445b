package pixeron.app.bench.pixels;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.Facts;
import pixeron.app.bench.parts.WhenSeen;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Pointed;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.app.theme.Theme;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.NumberBase;
import pixeron.look.PackedPixel;
import pixeron.number.Decimals;
import pixeron.number.Value;

/** One pixel in all its numbers, and its neighborhood. */
public final class PixelPane extends ScrollPane {

    private final Bench bench;
    private final Facts facts = new Facts();
    private final Label place = new Label();
    private final Label pointer = new Label();

    public PixelPane(Bench bench, Theme theme, ObservableValue<Boolean> isSeen) {
        this.bench = bench;
        WhenSeen seen = new WhenSeen(isSeen, this::render);
        getStyleClass().add("working-pane");
        place.getStyleClass().addAll("fact", "pixel-place");
        pointer.getStyleClass().addAll("sheet-hint", "pixel-place");
        HBox parts = new HBox(facts, new NeighborhoodPart(bench, theme, isSeen));
        parts.getStyleClass().add("pixel-pane");
        VBox all = new VBox(place, parts, pointer);
        setContent(all);
        setFitToWidth(true);
        bench.shownProperty().subscribe(shown -> seen.request());
        bench.pickedProperty().subscribe(pixel -> seen.request());
        bench.looking().displayProperty().subscribe(display -> seen.request());
        bench.looking().colorViewProperty().subscribe(view -> seen.request());
        bench.looking().hoverProperty().subscribe(this::showPointer);
    }

    private void render() {
        facts.clear();
        Shown shown = bench.shown();
        if (shown == null) {
            place.setText("");
            return;
        }
        Pixel picked = bench.pickedProperty().get();
        int first = bench.looking().display().first();
        place.setText(Words.place(picked, bench.looking().display()) + "    x " + (picked.column() + first) + ", y "
                + (picked.row() + first) + "    offset " + picked.row() + "·" + shown.grid().columns() + " + "
                + picked.column() + " = " + shown.grid().offset(picked));
        if (shown.hasColor() && bench.looking().isWhole()) {
            showChannels(shown);
        } else {
            List<Optional<Described>> columns = List.of(shown.before(), shown.after());
            facts.head(0, "", "");
            facts.head(1, shown.before().isPresent() ? "before" : "", "role-before");
            facts.head(2, shown.after().isPresent() ? "after" : "", "role-after");
            row("decimal", columns, picked, (image, value) -> Decimals.working(value));
            row("hexadecimal", columns, picked, (image, value) -> inBase("0x", NumberBase.HEXADECIMAL, image, value));
            row("binary", columns, picked, (image, value) -> inBase("0b", NumberBase.BINARY, image, value));
            row("fraction of M", columns, picked, (image, value) -> NumberBase.SHARE.text(value, image.maximumLevel()));
            row("M", columns, picked, (image, value) -> Integer.toString(image.maximumLevel()));
        }
    }

    /** A row for each channel, and one for the packed value. */
    private void showChannels(Shown shown) {
        List<String> names = Stream.of(shown.seenBefore(), shown.seenAfter()).flatMap(Optional::stream).max(Comparator.comparing(seen ->
                seen.faces().size())).map(Seen::names).orElse(List.of());
        facts.head(0, "", "");
        int column = 1;
        for (boolean isAfter : new boolean[] {false, true}) {
            boolean isThere = (isAfter ? shown.seenAfter() : shown.seenBefore()).isPresent();
            String role = isAfter ? "role-after" : "role-before";
            facts.head(column++, isThere ? isAfter ? "after" : "before" : "", role);
            facts.head(column++, isThere ? "hexadecimal" : "", role);
            facts.head(column++, isThere ? "binary" : "", role);
        }
        for (String name : names) {
            facts.row(name, Stream.of(false, true).flatMap(isAfter -> numbers(isAfter, name).stream()).toArray(String[]::new));
        }
        facts.row("packed", "", packed(false), "", "", packed(true), "");
    }

    private Optional<Pixel> place(boolean isAfter) {
        return Optional.ofNullable(isAfter ? bench.pickedProperty().get() : bench.pickedBeforeProperty().get());
    }

    private List<String> numbers(boolean isAfter, String name) {
        Optional<Seen> seen = isAfter ? bench.shown().seenAfter() : bench.shown().seenBefore();
        // Where one side is gray, its value is in the first row.
        Optional<Image> image = seen.flatMap(found -> found.hasColor() ? found.result().face(name)
                : name.equals("red") ? found.result().face(Image.VALUE) : Optional.empty());
        return image.flatMap(found -> place(isAfter).filter(found::contains).map(pixel -> found.value(pixel)).map(value -> List.of(Decimals.working(value),
                inBase("0x", NumberBase.HEXADECIMAL, found, value), inBase("0b", NumberBase.BINARY, found, value)))).orElse(List.of("", "", ""));
    }

    private String packed(boolean isAfter) {
        return (isAfter ? bench.shown().seenAfter() : bench.shown().seenBefore()).flatMap(seen -> place(isAfter).filter(seen.frame()::contains)
                .flatMap(pixel -> PackedPixel.find(seen.result(), pixel))).map(PackedPixel::hexadecimal).orElse("");
    }

    private void row(String name, List<Optional<Described>> columns, Pixel picked,
            BiFunction<Image, Value, String> text) {
        facts.row(name, columns.stream().map(column -> column.map(Described::image)
                .flatMap(image -> pixel(image, picked).map(pixel -> text.apply(image, image.value(pixel))))
                .orElse("")).toArray(String[]::new));
    }

    /** Returns the place in one of the columns' images that belongs to the picked pixel. */
    private Optional<Pixel> pixel(Image image, Pixel picked) {
        boolean isAfter = bench.shown().seenAfter().filter(after -> after.faces().stream().anyMatch(face -> face.image() == image)).isPresent();
        return Optional.ofNullable(isAfter ? picked : bench.pickedBeforeProperty().get()).filter(image::contains);
    }

    /** What is no whole number from 0 has no digits in another base. */
    private static String inBase(String prefix, NumberBase base, Image image, Value value) {
        return value.isWhole() && value.signum() >= 0 ? prefix + base.text(value, image.maximumLevel()) : "–";
    }

    private void showPointer(Pointed at) {
        Shown shown = bench.shown();
        if (at == null || shown == null) {
            pointer.setText("Point at a cell to read it here.");
            return;
        }
        Optional<Pixel> before = at.isBefore() ? Optional.of(at.pixel()) : shown.counterpart(at.pixel());
        Optional<Pixel> after = at.isBefore() ? shown.home(at.pixel()) : Optional.of(at.pixel());
        pointer.setText("Pointer: " + Words.place(at.pixel(), bench.looking().display())
                + before.map(pixel -> value(", before ", shown.before(), pixel)).orElse("")
                + after.map(pixel -> value(", after ", shown.after(), pixel)).orElse(""));
    }

    private static String value(String name, Optional<Described> described, Pixel pixel) {
        return described.map(Described::image).filter(image -> image.contains(pixel))
                .map(image -> name + Decimals.working(image.value(pixel))).orElse("");
    }
}
