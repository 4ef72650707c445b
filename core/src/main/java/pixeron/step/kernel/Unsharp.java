package pixeron.step.kernel;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.NumberParameter;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.Window;
import pixeron.step.neighborhood.WindowMeans;
import pixeron.step.neighborhood.WindowOperation;
import pixeron.step.neighborhood.WindowStep;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/** {@code unsharp amount=a size=n}: r + a·(r − mean of the n × n window). */
public final class Unsharp extends WindowStep {

    private static final NumberParameter AMOUNT = NumberParameter.required("amount", "Amount");

    public Unsharp() {
        super("unsharp", "Unsharp mask", "Adds to each pixel what it differs from the mean around it: edges stand out.",
                "s = r + amount × (r − window mean)", Border.ZERO, AMOUNT, ReadyKernel.SIZE);
    }

    private static int size(Step step) {
        return step.arguments().get(ReadyKernel.SIZE).number().toInt();
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, small(ReadyKernel.SIZE).with(AMOUNT, Amount.of(1)));
    }

    /** With border=inside the mean has fewer cells at the edge, which no fixed weights say. */
    @Override
    public Optional<Step> spelledOut(Step step) {
        if (border(step.arguments()) == Border.INSIDE) {
            return Optional.empty();
        }
        // r + a·(r − Σ r ÷ n²) = (n²·(1 + a)·r − a·Σ r) ÷ n²
        Rational amount = step.arguments().get(AMOUNT).number();
        int size = size(step);
        Rational cells = Rational.of((long) size * size);
        List<List<Rational>> rows = new ArrayList<>(Collections.nCopies(size, Collections.nCopies(size, amount.negated())));
        List<Rational> middle = new ArrayList<>(rows.get((size - 1) / 2));
        middle.set((size - 1) / 2, cells.times(Rational.ONE.plus(amount)).minus(amount));
        rows.set((size - 1) / 2, middle);
        return Optional.of(Kernel.step(Weights.centred(rows).with(Optional.of(cells), Rational.ZERO), step));
    }

    @Override
    protected List<Slip> cellSlips() {
        return Stream.concat(WeightSlips.of(this::spelledOut).stream(), super.cellSlips().stream()).toList();
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        return new Bound(step, before, square(step.arguments(), before, size(step)));
    }

    private static final class Bound extends WindowOperation {

        private final Rational amount;

        Bound(Step step, Image before, Window window) {
            super(step, before, window);
            this.amount = step.arguments().get(AMOUNT).number();
        }

        private Value value(Value sample, Value mean) {
            return sample.plus(sample.minus(mean).times(amount));
        }

        @Override
        protected Optional<Image> fastResult(Progress progress) {
            WindowMeans means = new WindowMeans(before(), window());
            return Optional.of(each(progress, pixel -> isKept(pixel) ? before().value(pixel)
                    : finish().apply(value(before().value(pixel), means.at(pixel)))));
        }

        @Override
        public List<String> sheetNames() {
            return List.of("Window mean");
        }

        @Override
        public Image sheet(String name, Progress progress) {
            return each(progress, new WindowMeans(before(), window())::at);
        }

        @Override
        protected Value valueOf(Pixel pixel, List<Window.Cell> cells) {
            return value(before().value(pixel), WindowText.mean(cells));
        }

        @Override
        protected List<Line> work(Pixel pixel, List<Window.Cell> cells) {
            List<Line> lines = new ArrayList<>(WindowText.lines(window(), pixel, cells));
            lines.addAll(WindowText.meanLines(cells));
            Value sample = before().value(pixel);
            Value mean = WindowText.mean(cells);
            Value apart = sample.minus(mean);
            lines.add(Line.of("apart", Run.before(Decimals.working(sample)), Run.plain(" − " + Decimals.working(mean) + " = "
                    + Decimals.working(apart) + nearly(apart))).arriving("apart", apart));
            Value exact = valueOf(pixel, cells);
            lines.add(Line.of("this pixel", Run.plain("s = "), Run.before(Decimals.working(sample)), Run.plain(" + "
                    + text(amount) + " × " + text(apart) + " = " + Decimals.working(exact) + nearly(exact))));
            return lines;
        }

        @Override
        protected void follow(LoopWriter out, Pixel pixel, List<Window.Cell> cells) {
            WindowText.followMean(out, window(), cells);
            out.set("r", before().value(pixel)).set("s", valueOf(pixel, cells))
                    .line(0, "s ← before[i][j] + " + text(amount) + " × (before[i][j] − mean)");
        }
    }
}
