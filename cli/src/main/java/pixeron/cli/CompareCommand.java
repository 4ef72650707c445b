package pixeron.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Comparison;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Progress;

/** {@code pixeron compare IMAGE IMAGE}: measures between two images. */
final class CompareCommand implements Callable<Integer> {

    private final Syntax syntax;
    private final Argument<Path> first;
    private final Argument<Path> second;
    private final ImageInput input;
    private final Argument<Format> format;

    CompareCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("Compare two images. Exit code 1: they differ.");
        first = syntax.next("IMAGE", Path.class, "First image; its maximum level is used.");
        second = syntax.next("IMAGE", Path.class, "Second image.");
        input = new ImageInput(syntax);
        format = syntax.format(Format.class);
    }

    @Override
    public Integer call() {
        Result a = input.chain(first.value()).last(Progress.NONE).required();
        Result b = input.chain(second.value()).last(Progress.NONE).required();
        if (a.getClass() != b.getClass()) {
            throw PixeronException.of("One is %s, the other is %s. Convert one of them with --gray RULE or a gray step.", a.kind(), b.kind());
        }
        Comparison comparison = Comparison.of(a, b);
        Map<String, Comparison> faces = new LinkedHashMap<>();
        for (int n = 0; n < Math.min(a.faces().size(), b.faces().size()) && a instanceof ColorImage; n++) {
            faces.put(a.faces().get(n).name(), Comparison.of(a.faces().get(n).image(), b.faces().get(n).image()));
        }
        PrintWriter out = syntax.out();
        if (format.value() == Format.json) {
            ObjectNode node = json(comparison);
            if (!faces.isEmpty()) {
                ObjectNode each = node.putObject(Json.COMPONENTS);
                faces.forEach((name, found) -> each.set(name, json(found)));
                node.set(Json.FACES, each);
            }
            out.println(Json.text(node));
        } else {
            print(out, comparison);
            faces.forEach((name, found) -> {
                out.printf("%n%s%n", name);
                print(out, found);
            });
        }
        return comparison.differ() == 0 ? 0 : Pixeron.DIFFERS;
    }

    private static ObjectNode json(Comparison comparison) {
        ObjectNode node = Json.object();
        node.put("agree", comparison.agree()).put("differ", comparison.differ());
        Json.put(node, "maxAbsolute", comparison.maxAbsolute());
        Json.put(node, "meanAbsolute", comparison.meanAbsolute());
        Json.put(node, "mse", comparison.mse());
        node.put("psnr", comparison.psnr().orElse(null));
        return node;
    }

    private static void print(PrintWriter out, Comparison comparison) {
        out.printf("agree            %d%n", comparison.agree());
        out.printf("differ           %d%n", comparison.differ());
        out.printf("max |a − b|      %s%n", Decimals.working(comparison.maxAbsolute()));
        out.printf("mean |a − b|     %s%n", shown(comparison.meanAbsolute()));
        out.printf("mean (a − b)²    %s%n", shown(comparison.mse()));
        out.printf("PSNR             %s%n", comparison.psnr().map(psnr -> Decimals.shortest(psnr)
                + " dB").orElse("∞ (the images are equal)"));
    }

    private static String shown(Value value) {
        return Decimals.working(value) + Decimals.nearly(value);
    }
}
