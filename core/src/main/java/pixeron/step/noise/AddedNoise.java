package pixeron.step.noise;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import pixeron.image.Image;
import pixeron.image.LevelRaster;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepOperation;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * A number drawn for each pixel, added to its value.
 *
 * <p>Cost: one or two draws a pixel.
 */
final class AddedNoise extends StepOperation {

    /** What is drawn. */
    interface Drawn {

        /** Returns the number for an offset. */
        Value at(int offset);

        /** Returns how it comes about. */
        List<Line> work(int offset);

        /** Returns the number for the offset n as a program has it. */
        Code code();

        /** Returns its formula, with n for the offset. */
        String formula();

        /** Returns the same number where it is whole and fits, drawn without objects; empty for other numbers. */
        default Optional<Whole> whole() {
            return Optional.empty();
        }
    }

    /** A whole number for an offset. */
    interface Whole {
        long at(int offset);
    }

    private final Drawn drawn;

    AddedNoise(Step step, Image before, Drawn drawn) {
        super(step, before, before.frame());
        this.drawn = drawn;
    }

    @Override
    public Optional<LoopProgram> program() {
        Code i = Code.name("i");
        Code j = Code.name("j");
        List<Statement> body = new ArrayList<>(List.of(Statement.set("n", i.times(Code.name("W")).plus(j)), Statement.set("drawn", drawn.code()),
                Statement.set("exact", Code.before(i, j).plus(Code.name("drawn")))));
        body.addAll(Ending.of(step().rounding(), step().overflow(), Code.name("M")));
        return Optional.of(new LoopProgram(step().type().name(), step().line(),
                List.of(Statement.set("M", Code.of(before().maximumLevel()))), Code.name("H"), Code.name("W"), Ending.within(ownArea(), body)).reading(before()));
    }

    @Override
    protected Value calculate(Pixel result, Sight sight) {
        return sight.read().apply(result).plus(drawn.at(before().offset(result)));
    }

    @Override
    protected List<Line> work(Pixel result, Sight sight) {
        int offset = before().offset(result);
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of("formula", Run.plain(step().type().formula(step().arguments()))));
        lines.add(Line.of("offset", Run.plain("n = i × W + j = " + result.row() + " × " + before().columns() + " + " + result.column() + " = " + offset)));
        lines.addAll(drawn.work(offset));
        Value number = drawn.at(offset);
        Value read = sight.read().apply(result);
        lines.add(Line.of("this pixel", Run.plain("s = r + drawn = "), Run.before(Decimals.working(read)),
                Run.plain(" + " + WindowText.bracketed(number) + " = " + Decimals.working(read.plus(number)))));
        return lines;
    }

    @Override
    protected void loop(Pixel result, Sight sight, LoopWriter out) {
        int offset = before().offset(result);
        out.set("n", Integer.toString(offset)).line(0, "n ← i × W + j");
        out.set("drawn", drawn.at(offset)).line(0, "drawn ← " + drawn.formula());
        out.set("r", sight.read().apply(result)).line(0, "r ← before[i][j]");
        out.set("s", calculate(result, sight)).line(0, "s ← r + drawn");
    }

    @Override
    public Image result(Progress progress) {
        Optional<Whole> whole = drawn.whole();
        if (whole.isPresent() && before().isLevelImage() && finish().isToLevels() && ownArea().isEmpty()) {
            return levels(whole.get(), progress);
        }
        return oneByOne(progress);
    }

    private Image levels(Whole whole, Progress progress) {
        int columns = before().columns();
        LevelRaster raster = new LevelRaster(before().rows(), columns, before().maximumLevel());
        IntStream.range(0, before().rows()).parallel().forEach(i -> {
            progress.report((double) i / before().rows());
            int[] row = new int[columns];
            before().levels(i, row, 0);
            for (int j = 0; j < columns; j++) {
                long sum = row[j] + whole.at(i * columns + j);
                row[j] = sum >= 0 && sum <= before().maximumLevel() ? (int) sum : finish().level(sum, 1);
            }
            raster.write(i, row);
        });
        return raster.image();
    }

    @Override
    public List<Source> sources(Pixel pixel) {
        return List.of(Source.of(pixel, before().value(pixel)));
    }

    /** Returns a drawn number in the digits of a double: with fewer, who works on with them would not come to the same result. */
    static String digits(Value drawn) {
        return Decimals.working(Approximate.from(drawn.asDouble()));
    }
}
