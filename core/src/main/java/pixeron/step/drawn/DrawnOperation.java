package pixeron.step.drawn;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.LoopProgram;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Inputs;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepOperation;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/** Pixels that are set, on one image. */
final class DrawnOperation extends StepOperation {

    private final Map<Pixel, Rational> values;
    private final String formula;
    private final Optional<LoopProgram> program;

    /** @param values of the pixels that are set */
    DrawnOperation(Step step, Inputs inputs, Image before, Map<Pixel, Rational> values, String formula, Optional<LoopProgram> program) {
        super(step, before, before.frame(), inputs);
        this.values = values;
        this.formula = formula;
        this.program = program;
    }

    @Override
    protected Optional<Kept> kept(Pixel result) {
        return values.containsKey(result) ? Optional.empty() : Optional.of(new Kept("stays", "this pixel is not set"));
    }

    @Override
    protected Optional<String> calculated() {
        return Optional.of("(i, j) is set");
    }

    @Override
    protected Value calculate(Pixel result, Sight sight) {
        return Optional.<Value>ofNullable(values.get(result)).orElseGet(() -> sight.read().apply(result));
    }

    @Override
    protected List<Line> work(Pixel result, Sight sight) {
        return List.of(Line.of("formula", Run.plain(formula)), Line.of("this pixel", Run.plain("s = "), Run.after(Decimals.working(calculate(result, sight))),
                Run.note("   " + result + " is set")));
    }

    /** A value that is set is neither rounded nor clipped. */
    @Override
    protected List<Line> ending(Pixel result, Value exact, Finish end) {
        return List.of();
    }

    @Override
    protected void loop(Pixel result, Sight sight, LoopWriter out) {
        out.set("s", calculate(result, sight)).line(0, "s ← the value that (i, j) is set to");
    }

    @Override
    public Optional<LoopProgram> program() {
        return program;
    }

    @Override
    public Image result(Progress progress) {
        Map<Rational, List<Pixel>> byValue = new LinkedHashMap<>();
        values.forEach((pixel, value) -> byValue.computeIfAbsent(value, none -> new ArrayList<>()).add(pixel));
        Image image = before();
        for (Map.Entry<Rational, List<Pixel>> entry : byValue.entrySet()) {
            progress.report(0);
            image = image.with(entry.getValue().stream().mapToInt(image::offset).toArray(), entry.getKey());
        }
        return image;
    }

    /** A pixel that is set is made of nothing before it. */
    @Override
    public List<Source> sources(Pixel pixel) {
        return values.containsKey(pixel) ? List.of() : List.of(Source.of(pixel, before().value(pixel)));
    }
}
