package pixeron.step.lowrank;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.LoopProgram;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepOperation;
import pixeron.step.TableChoice;
import pixeron.step.neighborhood.WindowText;
import pixeron.step.table.TableRule;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;
import pixeron.working.Table;

/**
 * The sum of the first patterns of an image. Of every pixel all pixels are a source; only itself is named, as with steps that count.
 *
 * <p>Cost: k products a pixel.
 */
final class LowRankOperation extends StepOperation {

    /** More products than these are summed up in one line of a working. */
    private static final int MOST_LINES = 12;
    /** Of larger images the rounds are gone through only when their table is asked for. */
    private static final int MOST_ITERATED = 1 << 16;
    private static final List<String> COLUMNS = List.of("k", "sigma", "share", "running", "share-squares", "running-squares", "numbers", "ratio");

    private final Kept keeping;
    private final boolean hasSigma;
    private SingularValues values;
    private int kept;
    private double largest;

    /** How many values are kept. */
    @FunctionalInterface
    interface Kept {
        int of(SingularValues values);
    }

    /**
     * The image is taken apart when something of the result is first asked for, because that can take long.
     *
     * @param hasSigma whether products are multiplied with their singular values; left out, it is a slip
     */
    LowRankOperation(Step step, Image before, Kept keeping, boolean hasSigma) {
        super(step, before, before.frame());
        this.keeping = keeping;
        this.hasSigma = hasSigma;
    }

    private SingularValues values() {
        return values(Progress.NONE);
    }

    private synchronized SingularValues values(Progress progress) {
        if (values == null) {
            SingularValues found = SingularValues.of(before(), progress);
            kept = keeping.of(found);
            largest = found.largest();
            values = found;
        }
        return values;
    }

    private int kept() {
        values();
        return kept;
    }

    private double largest() {
        values();
        return largest;
    }

    /** Patterns of value 0 add nothing. */
    private int counting() {
        return Math.min(kept(), values().rank());
    }

    private double weight(int m) {
        return hasSigma ? values().sigma(m) : 1;
    }

    private double part(int m, Pixel pixel) {
        return weight(m) * values().u(m, pixel.row()) * values().v(m, pixel.column());
    }

    private Value sum(Pixel pixel, int first, int last) {
        double sum = 0;
        for (int m = first; m < last; m++) {
            sum += part(m, pixel);
        }
        return Approximate.snapped(sum, largest());
    }

    @Override
    public Optional<LoopProgram> program() {
        return Optional.of(RankKeep.program(step(), frame().maximumLevel()).reading(before()));
    }

    @Override
    protected Value calculate(Pixel result, Sight sight) {
        return sum(result, 0, counting());
    }

    /** How many numbers the kept patterns are, and how much of the image's samples that is. */
    private String stored() {
        long numbers = values().numbers(kept());
        Value percent = Rational.of(100 * numbers).dividedBy(Rational.of(before().count()));
        return "k × (H + W + 1) = " + numbers + " numbers, " + Decimals.approximate(percent) + " % of the image's " + before().count();
    }

    @Override
    protected List<Line> work(Pixel result, Sight sight) {
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of("formula", Run.plain(step().type().formula(step().arguments()))));
        lines.add(Line.of("k", Run.plain("k = " + kept()), Run.note("   of " + values().count() + " values, " + values().rank() + " of them above 0; "
                + stored())));
        double running = 0;
        for (int m = 0; m < Math.min(counting(), MOST_LINES); m++) {
            double part = part(m, result);
            running += part;
            lines.add(Line.of("value " + (m + 1), Run.plain((hasSigma ? number(values().sigma(m)) + " × " : "") + number(values().u(m, result.row())) + " × "
                    + number(values().v(m, result.column())) + Decimals.arriving(Approximate.from(part), Approximate.from(values().sigma(m)), Approximate.from(values().u(m, result.row())),
                            Approximate.from(values().v(m, result.column())))), Run.note("   sum " + Decimals.legible(Approximate.snapped(running, largest())))));
        }
        if (counting() > MOST_LINES) {
            lines.add(Line.of("", Run.plain("values " + (MOST_LINES + 1) + " to " + counting() + " add " + Decimals.legible(sum(result, MOST_LINES, counting())))));
        }
        lines.add(Line.of("this pixel", Run.plain("s = " + Decimals.working(calculate(result, sight)))));
        return lines;
    }

    private static String number(double number) {
        return WindowText.legible(Approximate.from(number));
    }

    @Override
    protected void loop(Pixel result, Sight sight, LoopWriter out) {
        out.set("s", Rational.ZERO).line(0, "s ← 0");
        double sum = 0;
        for (int m = 0; m < counting(); m++) {
            sum += part(m, result);
            out.set("m", Rational.of(m + 1L)).line(0, "for m from 1 to k:");
            out.set("s", Approximate.from(sum)).line(1, "s ← s + σ[m] × u[m][i] × v[m][j]");
        }
    }

    @Override
    public Image result(Progress progress) {
        values(progress);
        return finish().isToLevels() ? rowByRow(this::row, largest(), progress) : oneByOne(progress);
    }

    /** In the same order as for a pixel alone, so that both give the same doubles. */
    private double[] row(int i) {
        double[] sums = new double[frame().columns()];
        for (int m = 0; m < counting(); m++) {
            double factor = weight(m) * values().u(m, i);
            double[] v = values().v(m);
            for (int j = 0; j < sums.length; j++) {
                sums[j] += factor * v[j];
            }
        }
        return sums;
    }

    @Override
    public List<Source> sources(Pixel result) {
        return List.of(Source.of(result, before().value(result)));
    }

    @Override
    public List<String> notes() {
        List<String> notes = new ArrayList<>();
        if (RankKeep.isByEnergy(step())) {
            notes.add("This energy is reached with k = " + kept() + " of " + values().count() + " values.");
        }
        if (!values().isDetermined(kept())) {
            int below = kept() - 1;
            while (below > 0 && !values().isDetermined(below)) {
                below--;
            }
            int above = kept() + 1;
            while (!values().isDetermined(above)) {
                above++;
            }
            notes.add("Singular values " + kept() + " and " + (kept() + 1) + " are equal, so other results are equally correct. Unique results: k = "
                    + (below > 0 ? below + " and k = " : "") + above + ".");
        }
        if (before().count() <= MOST_ITERATED) {
            values().power().astray().forEach(value -> notes.add("Power iteration: value " + value + " differs from the singular value table."));
        }
        return notes;
    }

    @Override
    public List<Table> tables() {
        double sum = values().sum(false);
        double squares = values().sum(true);
        List<List<Value>> rows = new ArrayList<>();
        Value running = Rational.ZERO;
        Value runningSquares = Rational.ZERO;
        Rational pixels = Rational.of(before().count());
        for (int m = 0; m < values().count(); m++) {
            double sigma = values().sigma(m);
            Value share = share(sigma, sum);
            Value shareOfSquares = share(sigma * sigma, squares);
            running = running.plus(share);
            runningSquares = runningSquares.plus(shareOfSquares);
            Rational numbers = Rational.of(values().numbers(m + 1));
            rows.add(Arrays.asList(Rational.of(m + 1L), Approximate.snapped(sigma, largest()), share, running, shareOfSquares, runningSquares, numbers,
                    numbers.dividedBy(pixels)));
        }
        Map<String, Value> sizes = Map.of("H", Rational.of(before().rows()), "W", Rational.of(before().columns()));
        Table singular = new Table(RankKeep.SINGULAR, COLUMNS, rows).withRules(Map.of("running", TableRule.of("runningAbove + share", Map.of(), "runningAbove", "share"),
                "numbers", TableRule.of("k * (H + W + 1)", sizes, "k"), "ratio", TableRule.of("numbers / (H * W)", sizes, "numbers")));
        List<List<Value>> rounds = values().power().rounds().stream().map(round -> Arrays.<Value>asList(Rational.of(round.value()), Rational.of(round.number()),
                Approximate.snapped(round.sigma(), largest()), Double.isNaN(round.change()) ? null : Approximate.snapped(round.change(), largest()))).toList();
        return List.of(singular, new Table(RankKeep.POWER, List.of("value", "round", "sigma", "change"), rounds).keyedBy(2)
                .withRules(Map.of("change", TableRule.of("abs(sigma - sigmaAbove)", Map.of(), "sigma", "sigmaAbove")))
                .coming("sigma", row -> round(values().power().rounds().get(row))));
    }

    private static List<Line> round(PowerIteration.Round round) {
        return round.vectors().lines(round.sigma());
    }

    private List<Value> errors() {
        return Arrays.stream(values().errors()).mapToObj(error -> Approximate.snapped(error, largest())).toList();
    }

    @Override
    public List<String> sheetNames() {
        return List.of("Without value 1");
    }

    /** What the second value is found in: the image without its first pattern. */
    @Override
    public Image sheet(String name, Progress progress) {
        Value[] left = new Value[before().count()];
        for (int n = 0; n < left.length; n++) {
            Pixel pixel = before().pixel(n);
            double first = values(progress).rank() == 0 ? 0 : values().sigma(0) * values().u(0, pixel.row()) * values().v(0, pixel.column());
            left[n] = Approximate.snapped(before().asDouble(n) - first, largest());
        }
        return Image.from(before().rows(), before().columns(), before().maximumLevel(), left);
    }

    @Override
    public Optional<TableChoice> choice(Table table) {
        return table.kind().equals(RankKeep.SINGULAR) ? Optional.of(new TableChoice(kept() - 1, RankKeep.share(step()), errors(), row -> RankKeep.keeping(step(), row + 1)))
                : Optional.empty();
    }

    private static Value share(double part, double sum) {
        return sum == 0 ? Rational.ZERO : Approximate.snapped(part / sum, 1);
    }
}
