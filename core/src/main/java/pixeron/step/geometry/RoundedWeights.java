package pixeron.step.geometry;

import java.util.List;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Early;
import pixeron.step.Footprint;
import pixeron.working.Line;
import pixeron.working.LoopWriter;

/**
 * The cells of a value with their weights rounded, as a user writes them down who rounds on the way.
 *
 * @param cells as they should be
 * @param whole what a weight is multiplied with before it is rounded, and divided by afterwards: 1, or the area of a mean
 */
record RoundedWeights(Cells cells, Rational whole, int decimals) implements Cells {

    @Override
    public List<Reading.Cell> at(Pixel result) {
        return cells.at(result).stream().map(cell -> new Reading.Cell(cell.row(), cell.column(), cell.weight().<Value>map(weight ->
                Early.rounded(weight.times(whole), decimals).dividedBy(whole)))).toList();
    }

    @Override
    public Footprint footprint(Pixel result) {
        return cells.footprint(result);
    }

    @Override
    public List<Line> work(Pixel result) {
        return cells.work(result);
    }

    @Override
    public List<Line> sum(Pixel result, List<Value> read) {
        return PointCells.weighted(at(result), read);
    }

    @Override
    public void follow(Pixel result, List<Value> read, LoopWriter out) {
        Value sum = Rational.ZERO;
        out.set("s", sum).line(0, "s ← 0");
        List<Reading.Cell> weighted = at(result);
        for (int n = 0; n < weighted.size(); n++) {
            Reading.Cell cell = weighted.get(n);
            Value weight = cell.weight().orElse(Rational.ONE);
            out.set("y", Rational.of(cell.row())).set("x", Rational.of(cell.column())).line(0, "for each cell (y, x) that counts:");
            sum = sum.plus(weight.times(read.get(n)));
            out.takeCell().set("weight", weight).set("s", sum).line(1, "s ← s + weight × before[y][x]");
        }
    }

    @Override
    public double[] back(Pixel before) {
        return cells.back(before);
    }
}
