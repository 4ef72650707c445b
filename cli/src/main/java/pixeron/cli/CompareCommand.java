package pixeron.cli;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import pixeron.image.Comparison;
import pixeron.number.Decimals;
import pixeron.number.Value;

/** {@code pixeron compare IMAGE IMAGE}: measures between two images. */
@Command(name = "compare", mixinStandardHelpOptions = true,
        description = "Measures how far two images differ. Exit code 1 when they do.")
final class CompareCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "IMAGE", description = "The first image, whose maximum level counts.")
    private Path first;

    @Parameters(index = "1", paramLabel = "IMAGE", description = "The second image.")
    private Path second;

    @Mixin
    private ImageInput input;

    @Option(names = "--format", defaultValue = "text",
            description = "${COMPLETION-CANDIDATES}; default ${DEFAULT-VALUE}.")
    private Format format;

    @Override
    public Integer call() {
        Comparison comparison = Comparison.of(input.read(first).image(), input.read(second).image());
        PrintWriter out = spec.commandLine().getOut();
        if (format == Format.json) {
            out.println(Json.text(json(comparison)));
        } else {
            print(out, comparison);
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
                + " dB").orElse("∞, the images are equal"));
    }

    private static String shown(Value value) {
        return Decimals.working(value)
                + (Decimals.isShownAsFraction(value) ? " ≈ " + Decimals.approximate(value) : "");
    }
}
