package pixeron.cli;

import java.io.PrintWriter;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pixeron.PixeronException;
import pixeron.chain.Stage;
import pixeron.image.Components;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Value;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.color.WholePixel;
import pixeron.working.Line;
import pixeron.working.Working;
import pixeron.working.WorkingText;

/** {@code pixeron explain IMAGE --step LINE… --at ROW,COLUMN}: the working of one pixel of the last step. */
final class ExplainCommand implements Runnable {

    private enum Format { text, latex, html, json }

    private static final Pattern PLACE = Pattern.compile("\\s*(\\d{1,9})\\s*,\\s*(\\d{1,9})\\s*");

    private final Syntax syntax;
    private final OneImage image;
    private final StepLines steps;
    private final FaceChoice face;
    private final Argument<String> place;
    private final Argument<Format> format;

    ExplainCommand(Syntax syntax) {
        this.syntax = syntax;
        syntax.describe("Show the working of one pixel of the last step.");
        image = new OneImage(syntax);
        steps = new StepLines(syntax);
        face = new FaceChoice(syntax);
        place = syntax.required("--at", "ROW,COLUMN", String.class, "Pixel: row and column, counted from 0.");
        format = syntax.format(Format.class);
    }

    @Override
    public void run() {
        Stage stage = steps.last(image);
        Bound bound = stage.bound(Progress.NONE).orElseThrow();
        Pixel pixel = pixel(bound.frame());
        Result after = stage.after(Progress.NONE).required();
        Result before = stage.before(Progress.NONE).required();
        PrintWriter out = syntax.out();
        if (after instanceof Components && face.name().isEmpty()) {
            whole(new WholePixel(bound, before, after, true).lines(pixel), stage, pixel, out);
            return;
        }
        face.requireOf(after, "a working belongs to one component");
        face.name().ifPresent(name -> face.of(after));
        Operation explained = bound.face(face.name().orElse(Image.VALUE)).orElseThrow();
        Working working = explained.explain(pixel);
        // Gray is made of three channels, and no single value is before it.
        Optional<Value> from = before.getClass() == after.getClass()
                ? explained.counterpart(pixel).map(explained.before()::value) : Optional.empty();
        switch (format.value()) {
            case text -> out.print(WorkingText.plain(working));
            case latex -> out.print(WorkingText.latex(working));
            case html -> out.print(WorkingText.html(working));
            case json -> out.println(Json.text(Json.working(working, stage.link().step().line(), pixel, from)));
        }
    }

    private void whole(List<Line> lines, Stage stage, Pixel pixel, PrintWriter out) {
        String line = stage.link().step().line();
        Bound bound = stage.bound(Progress.NONE).orElseThrow();
        Result after = stage.after(Progress.NONE).required();
        String title = line + ", " + pixel;
        switch (format.value()) {
            case text -> out.print(WorkingText.plain(title, lines));
            case latex -> out.print(WorkingText.latex(lines));
            case html -> out.print(WorkingText.html(title, lines));
            case json -> out.println(Json.text(Json.colorWorking(lines, line, pixel, bound, after)));
        }
    }

    private Pixel pixel(Frame frame) {
        Matcher matcher = PLACE.matcher(place.value());
        if (!matcher.matches()) {
            throw PixeronException.of("--at %s is not valid. Use ROW,COLUMN counted from 0, such as 2,5.", place.value());
        }
        Pixel pixel = new Pixel(Integer.parseInt(matcher.group(1)), Integer.parseInt(matcher.group(2)));
        if (!frame.contains(pixel)) {
            throw PixeronException.of("--at %s is outside the result of %d rows and %d columns. Use a row from 0 to %d and a column from 0 to %d.",
                    place.value(), frame.rows(), frame.columns(), frame.rows() - 1,
                    frame.columns() - 1);
        }
        return pixel;
    }
}
