package pixeron.app.bench.counts;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;
import pixeron.app.bench.parts.Facts;
import pixeron.app.bench.parts.WhenSeen;
import pixeron.app.model.Bench;
import pixeron.app.model.Described;
import pixeron.app.model.Seen;
import pixeron.app.model.Shown;
import pixeron.app.theme.Theme;
import pixeron.look.Storage;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.project.Origin;

/** Facts about Before and After, side by side, and the source of the image. */
public final class FactsPane extends ScrollPane {

    /** Room for four samples in memory and the findings about them. */
    private static final double LEAST_ASIDE = 350;

    private final Facts table = new Facts();
    private final Facts storage = new Facts();
    private final MemoryPane memory;

    public FactsPane(Bench bench, Theme theme, ObservableValue<Boolean> isSeen) {
        memory = new MemoryPane(bench, theme);
        WhenSeen seen = new WhenSeen(isSeen, () -> render(bench.shown()));
        getStyleClass().add("working-pane");
        // Beside each other where there is room, else below: large type has it seldom.
        VBox aside = new VBox(storage, memory);
        FlowPane both = new FlowPane(table, aside);
        setContent(both);
        // What is kept where takes what the facts leave, if that is enough for some samples.
        Runnable share = () -> {
            double left = both.getWidth() - table.getWidth();
            aside.setPrefWidth(left >= LEAST_ASIDE * theme.scale() ? left : both.getWidth());
        };
        both.widthProperty().subscribe(width -> share.run());
        table.widthProperty().subscribe(width -> share.run());
        setFitToWidth(true);
        bench.pickedProperty().subscribe(picked -> seen.request());
        bench.looking().displayProperty().subscribe(display -> seen.request());
        bench.shownProperty().subscribe(shown -> seen.request());
    }

    private void render(Shown shown) {
        table.clear();
        storage.clear();
        memory.show(shown);
        if (shown == null) {
            return;
        }
        List<Optional<Described>> both = List.of(shown.before(), shown.after());
        table.head(0, "", "");
        table.head(1, shown.before().isEmpty() ? "" : (shown.position() < 0 ? "image" : "before") + channel(shown, shown.seenBefore()), "role-before");
        table.head(2, shown.after().isPresent() ? "after" + channel(shown, shown.seenAfter()) : "", "role-after");
        row("size", both, d -> d.image().rows() + " × " + d.image().columns());
        row("levels", both, d -> d.image().isLevelImage() ? "0–" + d.image().maximumLevel()
                : "real-valued, M = " + d.image().maximumLevel());
        row("bits", both, d -> Storage.bits(d.image()).isPresent()
                ? Integer.toString(Storage.bits(d.image()).getAsInt())
                : "not a whole number");
        row("stored as", both, d -> Storage.kind(d.image()));
        row("smallest", both, d -> shown(d.facts().smallest()));
        row("largest", both, d -> shown(d.facts().largest()));
        row("mean", both, d -> shown(d.facts().mean()));
        row("distinct", both, d -> Integer.toString(d.facts().distinct()));
        Origin origin = shown.project().origin();
        storage.row("from", origin.file() + " · " + origin.format());
        storage.row("channels", channels(origin));
        origin.notes().forEach(note -> storage.row("", note));
    }

    private static String channel(Shown shown, Optional<Seen> seen) {
        return seen.filter(Seen::hasColor).map(found -> ", " + found.name(shown.channel())).orElse("");
    }

    private static String channels(Origin origin) {
        return switch (origin.channels()) {
            case 1 -> "1, gray";
            case 2 -> "2, gray and alpha";
            case 3 -> "3, red, green and blue";
            default -> "4, red, green, blue and alpha";
        };
    }

    private void row(String name, List<Optional<Described>> both,
            java.util.function.Function<Described, String> text) {
        table.row(name, both.get(0).map(text).orElse(""), both.get(1).map(text).orElse(""));
    }

    private static String shown(Value value) {
        return Decimals.working(value) + Decimals.nearly(value);
    }
}
