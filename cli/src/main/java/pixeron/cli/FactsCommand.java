package pixeron.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import pixeron.format.LoadedImage;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.number.Decimals;

/** {@code pixeron facts IMAGE}: size, levels, channels, minimum, maximum, mean. */
@Command(name = "facts", mixinStandardHelpOptions = true, description = "Says what can be said about an image.")
final class FactsCommand implements Runnable {

    private enum Format { text, json }

    @Spec
    private CommandSpec spec;

    @Mixin
    private OneImage image;

    @Option(names = "--format", defaultValue = "text",
            description = "${COMPLETION-CANDIDATES}; default ${DEFAULT-VALUE}.")
    private Format format;

    @Override
    public void run() {
        LoadedImage loaded = image.read();
        ImageFacts facts = ImageFacts.of(loaded.image());
        PrintWriter out = spec.commandLine().getOut();
        if (format == Format.json) {
            out.println(Json.text(json(loaded, facts)));
        } else {
            print(out, loaded, facts);
        }
    }

    private static ObjectNode json(LoadedImage loaded, ImageFacts facts) {
        Image image = loaded.image();
        ObjectNode node = Json.object();
        node.put("rows", image.rows()).put("columns", image.columns()).put("maximumLevel", image.maximumLevel());
        node.put("open", !image.isLevelImage()).put("exact", image.isExact());
        Json.put(node, "smallest", facts.smallest());
        Json.put(node, "largest", facts.largest());
        Json.put(node, "mean", facts.mean());
        node.put("distinct", facts.distinct()).put("format", loaded.format()).put("channels", loaded.channels());
        loaded.colour().ifPresent(picture -> node.put("transparentPixels", picture.transparentPixels()));
        loaded.notes().forEach(note -> node.withArray("notes").add(note));
        return node;
    }

    private static void print(PrintWriter out, LoadedImage loaded, ImageFacts facts) {
        Image image = loaded.image();
        out.printf("size       %d rows × %d columns%n", image.rows(), image.columns());
        out.printf("levels     %s%n", image.isLevelImage() ? "0–" + image.maximumLevel()
                : "open, nominal maximum " + image.maximumLevel() + (image.isExact() ? "" : ", kept as doubles"));
        out.printf("smallest   %s%n", Decimals.working(facts.smallest()));
        out.printf("largest    %s%n", Decimals.working(facts.largest()));
        out.printf("mean       %s%s%n", Decimals.working(facts.mean()), Decimals.isShownAsFraction(facts.mean())
                ? " ≈ " + Decimals.approximate(facts.mean()) : "");
        out.printf("distinct   %d%n", facts.distinct());
        out.printf("format     %s%n", loaded.format());
        out.printf("channels   %d%s%n", loaded.channels(), loaded.colour()
                .map(picture -> ", " + picture.transparentPixels() + " transparent pixels").orElse(""));
        loaded.notes().forEach(note -> out.printf("note       %s%n", note));
    }
}
