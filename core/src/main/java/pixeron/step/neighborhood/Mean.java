package pixeron.step.neighborhood;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * The mean of the cells that are there, called {@code mean}: Σ r ÷ count.
 *
 * <p>Cost for all pixels: see {@link WindowMeans}.
 */
public final class Mean implements Reduction<Mean.Sum> {

    /**
     * A running sum.
     *
     * @param sum of the cells so far
     * @param count how many they are
     */
    public record Sum(Value sum, long count) {

        Value mean() {
            return sum.dividedBy(Rational.of(count));
        }
    }

    @Override
    public String name() {
        return "mean";
    }

    @Override
    public Sum none() {
        return new Sum(Rational.ZERO, 0);
    }

    @Override
    public Sum with(Sum taken, Window.Cell cell) {
        return new Sum(taken.sum.plus(cell.value().orElseThrow()), taken.count + 1);
    }

    @Override
    public Value value(Sum taken, Neighborhood around) {
        return taken.mean();
    }

    @Override
    public List<Line> lines(Neighborhood around) {
        Sum all = taken(around);
        Value mean = all.mean();
        return List.of(Line.of("sum", Run.plain(Decimals.working(all.sum)), Run.note("   of " + all.count + " cells"))
                .arriving("sum", all.sum), Line.of("mean", Run.plain(WindowText.bracketed(all.sum) + " ÷ " + all.count + " = "
                        + Decimals.working(mean) + Decimals.nearly(mean))).arriving("mean", mean));
    }

    @Override
    public String start() {
        return "sum ← 0, count ← 0";
    }

    @Override
    public String each() {
        return "sum ← sum + before[i+a][j+b], count ← count + 1";
    }

    @Override
    public Optional<String> end() {
        return Optional.of("mean ← sum ÷ count");
    }

    @Override
    public void show(Sum taken, LoopWriter out) {
        out.set("sum", taken.sum).set("count", Rational.of(taken.count));
    }

    @Override
    public Optional<Supplier<Function<Pixel, Value>>> moving(Image before, Window window) {
        return Optional.of(() -> new WindowMeans(before, window)::at);
    }

    @Override
    public Optional<Reduced> program() {
        Code sum = Code.name("sum");
        Code count = Code.name("count");
        return Optional.of(new Reduced(List.of(), List.of(Statement.set("sum", Code.of(0)), Statement.set("count", Code.of(0))), List.of(
                Statement.set("sum", sum.plus(Code.name("v"))), Statement.set("count", count.plus(Code.of(1)))), List.of(Statement.set("mean", sum.over(count)))));
    }

    @Override
    public Optional<String> sheet() {
        return Optional.of("Window mean");
    }
}
