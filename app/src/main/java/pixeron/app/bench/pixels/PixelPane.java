package pixeron.app.bench.pixels;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.Facts;
import pixeron.app.bench.parts.WhenSeen;
import pixeron.app.bench.parts.Words;
import pixeron.app.model.Bench;
import pixeron.app.model.Pointed;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.app.theme.Theme;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.NumberBase;
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
        facts.head(0, "", "");
        List<Optional<Shown.Described>> columns = new ArrayList<>();
        addColumns(columns, shown.seenBefore(), "before");
        addColumns(columns, shown.seenAfter(), "after");
        row("decimal", columns, picked, (image, value) -> Decimals.working(value));
        row("hexadecimal", columns, picked, (image, value) -> inBase("0x", NumberBase.HEXADECIMAL, image, value));
        row("binary", columns, picked, (image, value) -> inBase("0b", NumberBase.BINARY, image, value));
        row("share of M", columns, picked, (image, value) -> NumberBase.SHARE.text(value, image.maximumLevel()));
        row("M", columns, picked, (image, value) -> Integer.toString(image.maximumLevel()));
    }

    /** A column for each face of a side, under its name where there are several. */
    private void addColumns(List<Optional<Shown.Described>> columns, Optional<Seen> seen, String side) {
        seen.ifPresent(found -> {
            for (int n = 0; n < found.faces().size(); n++) {
                columns.add(Optional.of(found.faces().get(n)));
                facts.head(columns.size(), found.hasColour() ? found.names().get(n) : side, "role-" + side);
            }
        });
    }

    private void row(String name, List<Optional<Shown.Described>> columns, Pixel picked,
            BiFunction<Image, Value, String> text) {
        facts.row(name, columns.stream().map(column -> column.map(Shown.Described::image)
                .flatMap(image -> pixel(image, picked).map(pixel -> text.apply(image, image.value(pixel))))
                .orElse("")).toArray(String[]::new));
    }

    /** @return the place in one of the columns' images that belongs to the picked pixel */
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

    private static String value(String name, Optional<Shown.Described> described, Pixel pixel) {
        return described.map(Shown.Described::image).filter(image -> image.contains(pixel))
                .map(image -> name + Decimals.working(image.value(pixel))).orElse("");
    }
}
