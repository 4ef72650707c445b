package pixeron.cli;

import java.io.PrintWriter;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import pixeron.PixeronException;
import pixeron.chain.Stage;
import pixeron.image.Pixel;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.working.Working;
import pixeron.working.WorkingText;

/** {@code pixeron explain IMAGE --step LINE… --at ROW,COLUMN}: the working of one pixel of the last step. */
@Command(name = "explain", mixinStandardHelpOptions = true,
        description = "Shows the working of one pixel of the last step.")
final class ExplainCommand implements Runnable {

    private enum Format { text, latex, html, json }

    private static final Pattern PLACE = Pattern.compile("\\s*(\\d{1,9})\\s*,\\s*(\\d{1,9})\\s*");

    @Spec
    private CommandSpec spec;

    @Mixin
    private OneImage image;

    @Mixin
    private StepLines steps;

    @Option(names = "--at", paramLabel = "ROW,COLUMN", required = true, description = "The pixel, counted from 0.")
    private String place;

    @Option(names = "--format", defaultValue = "text",
            description = "${COMPLETION-CANDIDATES}; default ${DEFAULT-VALUE}.")
    private Format format;

    @Override
    public void run() {
        Stage stage = steps.last(image.read().image());
        Operation operation = stage.operation(Progress.NONE).orElseThrow();
        Pixel pixel = pixel(operation);
        Working working = operation.explain(pixel);
        PrintWriter out = spec.commandLine().getOut();
        switch (format) {
            case text -> out.print(WorkingText.plain(working));
            case latex -> out.print(WorkingText.latex(working));
            case html -> out.print(WorkingText.html(working));
            case json -> out.println(Json.text(Json.working(working, stage.link().step().line(), pixel,
                    operation.counterpart(pixel).map(operation.before()::value))));
        }
    }

    private Pixel pixel(Operation operation) {
        Matcher matcher = PLACE.matcher(place);
        if (!matcher.matches()) {
            throw PixeronException.of("--at %s is not a place; write ROW,COLUMN counted from 0, such as 2,5.", place);
        }
        Pixel pixel = new Pixel(Integer.parseInt(matcher.group(1)), Integer.parseInt(matcher.group(2)));
        if (!operation.contains(pixel)) {
            throw PixeronException.of("--at %s is outside the result of %d rows and %d columns; give a row from 0 to %d and a column from 0 to %d.",
                    place, operation.frame().rows(), operation.frame().columns(), operation.frame().rows() - 1,
                    operation.frame().columns() - 1);
        }
        return pixel;
    }
}
