package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.formula.Expression;
import pixeron.formula.Operator;
import pixeron.formula.Typeset;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Footprint;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/**
 * All cells under a pixel of the result, each with the part of it that lies inside: the rows [i · H ÷ h, (i + 1) · H ÷ h) and
 * the columns likewise.
 *
 * @param before H × W
 * @param frame h × w, of the result
 */
record MeanCells(Frame before, Frame frame) implements Cells {

    private static Rational edge(int k, int old, int made) {
        return Rational.of((long) k * old, made);
    }

    /** Returns how much of a row, or of a column, lies inside. */
    private static Rational part(int k, int cell, int old, int made) {
        Rational from = edge(k, old, made);
        Rational to = edge(k + 1, old, made);
        Rational start = from.compareTo(Rational.of(cell)) > 0 ? from : Rational.of(cell);
        Rational end = to.compareTo(Rational.of(cell + 1)) < 0 ? to : Rational.of(cell + 1);
        return end.minus(start);
    }

    /** Returns the first cell that lies under a row or column. */
    static int first(int k, int old, int made) {
        return (int) ((long) k * old / made);
    }

    /** Returns the last one. */
    static int last(int k, int old, int made) {
        return (int) (((long) (k + 1) * old - 1) / made);
    }

    /** Returns how many pixels of the image before lie under one of the result. */
    Rational area() {
        return Rational.of((long) before.rows() * before.columns(), (long) frame.rows() * frame.columns());
    }

    private Rational part(Pixel result, int row, int column) {
        return part(result.row(), row, before.rows(), frame.rows()).times(part(result.column(), column, before.columns(), frame.columns()));
    }

    @Override
    public List<Reading.Cell> at(Pixel result) {
        List<Reading.Cell> cells = new ArrayList<>();
        Rational area = area();
        for (int row = first(result.row(), before.rows(), frame.rows()); row <= last(result.row(), before.rows(), frame.rows()); row++) {
            for (int column = first(result.column(), before.columns(), frame.columns());
                    column <= last(result.column(), before.columns(), frame.columns()); column++) {
                cells.add(new Reading.Cell(row, column, Optional.of(part(result, row, column).dividedBy(area))));
            }
        }
        return cells;
    }

    @Override
    public Footprint footprint(Pixel result) {
        return new Footprint(edge(result.row(), before.rows(), frame.rows()), edge(result.column(), before.columns(), frame.columns()),
                edge(result.row() + 1, before.rows(), frame.rows()), edge(result.column() + 1, before.columns(), frame.columns()), true);
    }

    @Override
    public List<Line> work(Pixel result) {
        return List.of(range("rows", "i", "H", "h", result.row(), before.rows(), frame.rows()),
                range("columns", "j", "W", "w", result.column(), before.columns(), frame.columns()));
    }

    private static Line range(String label, String k, String old, String made, int at, int size, int made1) {
        return Line.of(label, Run.plain("from " + k + " × " + old + " ÷ " + made + " = " + at + " × " + size + " ÷ " + made1 + " = "
                + Decimals.working(edge(at, size, made1)) + " to before " + Decimals.working(edge(at + 1, size, made1))));
    }

    @Override
    public List<Line> sum(Pixel result, List<Value> read) {
        List<Reading.Cell> cells = at(result);
        List<Rational> parts = cells.stream().map(cell -> part(result, cell.row(), cell.column())).toList();
        List<Run> runs = new ArrayList<>();
        Value sum = Rational.ZERO;
        for (int n = 0; n < cells.size(); n++) {
            Reading.Cell cell = cells.get(n);
            sum = sum.plus(parts.get(n).times(read.get(n)));
            runs.add(Run.before((parts.get(n).equals(Rational.ONE) ? "" : Decimals.working(parts.get(n)) + "×") + Decimals.working(read.get(n)))
                    .from("row " + cell.row() + ", column " + cell.column()));
        }
        int columns = (int) cells.stream().filter(cell -> cell.row() == cells.get(0).row()).count();
        List<Line> lines = new ArrayList<>(WindowText.grid("cells", "", columns, runs, run -> run));
        Value mean = sum.dividedBy(area());
        lines.add(Line.of("sum", Run.plain(Decimals.working(sum))).arriving("sum", sum));
        lines.add(Line.of("mean", Run.plain("s = sum ÷ area = " + Typeset.text(new Expression.Binary(Operator.DIVIDE,
                Expression.Literal.of(sum), Expression.Literal.of(area()))) + " = "
                + Decimals.working(mean) + Decimals.nearly(mean))).arriving("mean", mean));
        return lines;
    }

    @Override
    public void follow(Pixel result, List<Value> read, LoopWriter out) {
        out.set("sum", Rational.ZERO).line(0, "sum ← 0");
        Value sum = Rational.ZERO;
        List<Reading.Cell> cells = at(result);
        for (int n = 0; n < cells.size(); n++) {
            Reading.Cell cell = cells.get(n);
            Rational part = part(result, cell.row(), cell.column());
            sum = sum.plus(part.times(read.get(n)));
            out.set("y", Rational.of(cell.row())).set("x", Rational.of(cell.column())).line(0, "for each cell (y, x) under (i, j):");
            out.takeCell().set("part", part).set("sum", sum).line(1, "sum ← sum + part inside × before[y][x]");
        }
        out.set("s", sum.dividedBy(area())).line(0, "s ← sum ÷ (H × W ÷ (h × w))");
    }

    @Override
    public double[] back(Pixel pixel) {
        return Points.inProportion(pixel, before, frame);
    }
}
