package pixeron.step.kernel;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import pixeron.formula.Operator;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.neighborhood.Neighborhood;
import pixeron.step.neighborhood.Reduced;
import pixeron.step.neighborhood.Reduction;
import pixeron.step.neighborhood.Window;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/** The divisor where only cells inside the image count: the sum of their weights, or 1 where that is 0. */
final class WeightsInside implements Reduction<Value> {

    private static final String NAME = "divisor";

    private final Weights weights;

    /** @param weights as they are laid on the image */
    WeightsInside(Weights weights) {
        this.weights = weights;
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public Value none() {
        return Rational.ZERO;
    }

    @Override
    public Value with(Value taken, Window.Cell cell) {
        return taken.plus(weights.at(cell.row(), cell.column()));
    }

    @Override
    public Value value(Value taken, Neighborhood around) {
        return Weights.divisor(taken);
    }

    @Override
    public List<Line> lines(Neighborhood around) {
        Value divisor = of(around);
        return List.of(Line.of(NAME, Run.plain("Σ w = " + Decimals.working(divisor)),
                Run.note("   of the cells inside; 1 if it is 0")));
    }

    @Override
    public String start() {
        return "divisor ← 0";
    }

    @Override
    public String each() {
        return "divisor ← divisor + w";
    }

    @Override
    public Optional<String> end() {
        return weights.sum().signum() == 0 ? Optional.of("divisor ← 1 if divisor = 0") : Optional.empty();
    }

    @Override
    public Optional<Reduced> program() {
        // The sum beside it has laid the weights down already.
        Code divisor = Code.name(NAME);
        return Optional.of(new Reduced(List.of(), List.of(Statement.set(NAME, Code.of(0))), List.of(Statement.set(NAME, divisor.plus(
                new Code.Cell("w", Code.name("a"), Code.name("b"))))), List.of(Statement.set(NAME, new Code.Choice(new Code.Binary(Operator.EQUAL, divisor, Code.of(0)),
                        Code.of(1), divisor)))));
    }

    @Override
    public void show(Value taken, LoopWriter out) {
        out.set(NAME, taken);
    }

    @Override
    public Optional<Supplier<Function<Pixel, Value>>> moving(Image before, Window window) {
        Value all = Weights.divisor(weights.sum());
        return Optional.of(() -> pixel -> window.fits(before, pixel) ? all : of(new Neighborhood(window, pixel,
                before.value(pixel), window.cells(before, pixel))));
    }
}
