package pixeron.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.LinkedHashMap;
import java.util.Map;
import pixeron.format.LoadedImage;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.look.MemoryRow;
import pixeron.look.Storage;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.walk.ScanOrder;

/**
 * {@code pixeron facts IMAGE}: size, levels, channels, minimum, maximum, mean, places in memory. Of a color picture
 * without a gray rule the numbers are over red, green and blue together, and each channel has its own.
 */
final class FactsCommand implements Runnable {

    private static final int OFFSETS = 4;

    private final Syntax syntax;
    private final OneImage image;
    private final Argument<Format> format;

    FactsCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("Show facts about an image.");
        image = new OneImage(syntax);
        format = syntax.format(Format.class);
    }

    @Override
    public void run() {
        LoadedImage loaded = image.readForFacts();
        Image whole = loaded.gray().orElseGet(() -> together(loaded.color().orElseThrow()));
        Map<String, ImageFacts> channels = new LinkedHashMap<>();
        loaded.color().ifPresent(picture -> {
            channels.put("red", ImageFacts.of(picture.red()));
            channels.put("green", ImageFacts.of(picture.green()));
            channels.put("blue", ImageFacts.of(picture.blue()));
            picture.alpha().ifPresent(alpha -> channels.put("alpha", ImageFacts.of(alpha)));
        });
        LoadedImage noted = loaded.gray().isPresent() ? loaded
                : loaded.withNote("Without a gray rule (--gray), the numbers cover red, green and blue together.");
        PrintWriter out = syntax.out();
        int rows = loaded.gray().map(Image::rows).orElseGet(() -> loaded.color().orElseThrow().rows());
        if (format.value() == Format.json) {
            out.println(Json.text(json(noted, whole, rows, channels)));
        } else {
            print(out, noted, whole, rows, channels);
        }
    }

    /** The three channels one below the other, as one image whose facts are those of all samples. */
    private static Image together(ColorImage picture) {
        int count = picture.red().count();
        Image[] channels = {picture.red(), picture.green(), picture.blue()};
        return Image.ofLevels(3 * picture.rows(), picture.columns(), picture.maximumLevel(),
                n -> channels[n / count].level(n % count));
    }

    private static ObjectNode json(LoadedImage loaded, Image image, int rows, Map<String, ImageFacts> channels) {
        ObjectNode node = Json.object();
        node.put("rows", rows).put("columns", image.columns()).put("maximumLevel", image.maximumLevel());
        Storage.bits(image).ifPresentOrElse(bits -> node.put("bits", bits), () -> node.putNull("bits"));
        node.put("open", !image.isLevelImage()).put("exact", image.isExact());
        put(node, ImageFacts.of(image));
        loaded.summary().ifPresent(summary -> node.put("summary", summary));
        node.put("format", loaded.format()).put("channels", loaded.channels());
        channels.forEach((name, facts) -> put(node.withArray("channelFacts").addObject().put("name", name), facts));
        loaded.color().ifPresent(picture -> node.put("transparentPixels", picture.transparentPixels()));
        node.put("rowMajor", offsets(image, rows, ScanOrder.ROWS));
        node.put("columnMajor", offsets(image, rows, ScanOrder.COLUMNS));
        loaded.color().ifPresent(picture -> MemoryRow.Layout.of(picture).forEach(layout ->
                node.withObjectProperty("memory").put(layout.title(), MemoryRow.of(picture, layout, 0).text(OFFSETS))));
        loaded.notes().forEach(note -> node.withArray("notes").add(note));
        return node;
    }

    private static void put(ObjectNode node, ImageFacts facts) {
        Json.put(node, "smallest", facts.smallest());
        Json.put(node, "largest", facts.largest());
        Json.put(node, "mean", facts.mean());
        node.put("distinct", facts.distinct());
    }

    private static String offsets(Image image, int rows, ScanOrder order) {
        return Storage.offsets(rows, image.columns(), order, OFFSETS);
    }

    private static void print(PrintWriter out, LoadedImage loaded, Image image, int rows,
            Map<String, ImageFacts> channels) {
        ImageFacts facts = ImageFacts.of(image);
        out.printf("size       %d rows × %d columns%n", rows, image.columns());
        out.printf("levels     %s%n", image.isLevelImage() ? "0–" + image.maximumLevel() + bits(image)
                : "real-valued, nominal maximum " + image.maximumLevel() + (image.isExact() ? "" : ", stored as doubles"));
        out.printf("smallest   %s%n", Decimals.working(facts.smallest()));
        out.printf("largest    %s%n", Decimals.working(facts.largest()));
        out.printf("mean       %s%n", mean(facts.mean()));
        out.printf("distinct   %d%n", facts.distinct());
        out.printf("format     %s%n", loaded.format());
        loaded.summary().ifPresent(summary -> out.printf("summary    %s%n", summary));
        out.printf("channels   %d%s%n", loaded.channels(), loaded.color()
                .map(picture -> ", " + picture.transparentPixels() + " transparent pixels").orElse(""));
        channels.forEach((name, of) -> out.printf("  %-8s smallest %s, largest %s, mean %s, distinct %d%n", name,
                Decimals.working(of.smallest()), Decimals.working(of.largest()), mean(of.mean()), of.distinct()));
        out.printf("row-major     %s%n", offsets(image, rows, ScanOrder.ROWS));
        out.printf("column-major  %s%n", offsets(image, rows, ScanOrder.COLUMNS));
        loaded.color().ifPresent(picture -> MemoryRow.Layout.of(picture).forEach(layout ->
                out.printf("%s: %s%n", layout.title(), MemoryRow.of(picture, layout, 0).text(OFFSETS))));
        loaded.notes().forEach(note -> out.printf("note       %s%n", note));
    }

    private static String bits(Image image) {
        return Storage.bits(image).isPresent() ? ", " + Storage.bits(image).getAsInt() + " bits" : "";
    }

    private static String mean(Value mean) {
        return Decimals.working(mean) + Decimals.nearly(mean);
    }
}
