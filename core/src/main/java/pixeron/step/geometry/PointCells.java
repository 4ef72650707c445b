package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import pixeron.formula.Expression;
import pixeron.formula.Operator;
import pixeron.formula.TraceLines;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Footprint;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Role;
import pixeron.working.Run;

/**
 * The cells around a point between pixels.
 *
 * @param points where the points lie
 * @param reading which cells count
 * @param limit the image whose ends points do not leave; empty where something is outside
 * @param back the place of the result that lies nearest to a pixel of the image before
 */
record PointCells(Points points, Reading reading, Optional<Frame> limit, Function<Pixel, double[]> back) implements Cells {

    /** Returns the same cells around points rounded to so many decimals. */
    PointCells rounded(int decimals) {
        return new PointCells(points.rounded(decimals), reading, limit, back);
    }

    private Value y(Pixel result) {
        Value y = points.row(result);
        return reading == Reading.LINEAR ? limit.map(frame -> Reading.limited(y, frame.rows())).orElse(y) : y;
    }

    private Value x(Pixel result) {
        Value x = points.column(result);
        return reading == Reading.LINEAR ? limit.map(frame -> Reading.limited(x, frame.columns())).orElse(x) : x;
    }

    @Override
    public List<Reading.Cell> at(Pixel result) {
        List<Reading.Cell> cells = reading.cells(y(result), x(result));
        return limit.map(frame -> cells.stream().map(cell -> Reading.limited(cell, frame)).toList()).orElse(cells);
    }

    @Override
    public Footprint footprint(Pixel result) {
        return Footprint.point(points.row(result), points.column(result), reading == Reading.DOWN);
    }

    @Override
    public List<Line> work(Pixel result) {
        List<Line> lines = new ArrayList<>(points.work(result));
        Value y = y(result);
        Value x = x(result);
        if (!y.equals(points.row(result)) || !x.equals(points.column(result))) {
            lines.add(Line.of("limited", Run.plain("y = " + Decimals.working(y) + ", x = " + Decimals.working(x)), Run.note("   the image ends there")));
        }
        lines.addAll(reading.work(y, x));
        List<Reading.Cell> free = reading.cells(y, x);
        if (reading != Reading.LINEAR && !free.equals(at(result))) {
            lines.add(Line.of("limited", Run.plain("row " + at(result).get(0).row() + ", column " + at(result).get(0).column()),
                    Run.note("   the image ends there")));
        }
        return lines;
    }

    @Override
    public List<Line> sum(Pixel result, List<Value> read) {
        List<Reading.Cell> cells = at(result);
        if (reading != Reading.LINEAR) {
            return List.of(Line.of("this pixel", Run.plain("s = r(" + Decimals.working(cells.get(0).row()) + ", " + Decimals.working(cells.get(0).column()) + ") = "),
                    Run.before(Decimals.working(read.get(0)))));
        }
        return weighted(cells, read);
    }

    /** Returns the cells with their weights, then the sum of the products. */
    static List<Line> weighted(List<Reading.Cell> cells, List<Value> read) {
        List<Line> lines = new ArrayList<>();
        for (int n = 0; n < cells.size(); n++) {
            Reading.Cell cell = cells.get(n);
            lines.add(Line.of(n == 0 ? "cells" : "", Run.plain("r(" + Decimals.working(cell.row()) + ", " + Decimals.working(cell.column()) + ") = "),
                    Run.before(Decimals.working(read.get(n))), Run.note("   weight " + Decimals.working(cell.weight().orElseThrow()))));
        }
        Expression sum = null;
        for (int n = 0; n < cells.size(); n++) {
            Expression product = new Expression.Binary(Operator.MULTIPLY, Expression.Literal.of(cells.get(n).weight().orElseThrow()),
                    new Expression.Literal(read.get(n), Role.BEFORE));
            sum = sum == null ? product : new Expression.Binary(Operator.ADD, sum, product);
        }
        lines.addAll(TraceLines.under("this pixel", "s = ", sum));
        return lines;
    }

    @Override
    public void follow(Pixel result, List<Value> read, LoopWriter out) {
        points.follow(result, out);
        if (reading == Reading.LINEAR) {
            if (limit.isPresent()) {
                out.set("y", y(result)).set("x", x(result)).line(0, "y, x ← limited to the image");
            }
            out.set("a", y(result).minus(Rounding.FLOOR.apply(y(result)))).set("b", x(result).minus(
                    Rounding.FLOOR.apply(x(result)))).line(0, "a ← y − ⌊y⌋, b ← x − ⌊x⌋");
        }
        Value value = null;
        List<Reading.Cell> cells = at(result);
        for (int n = 0; n < cells.size(); n++) {
            Value read1 = read.get(n);
            Value part = cells.get(n).weight().map(weight -> weight.times(read1)).orElse(read1);
            value = value == null ? part : value.plus(part);
            out.takeCell();
        }
        out.set("s", value).line(0, reading.loop(limit.isEmpty()));
    }

    @Override
    public double[] back(Pixel before) {
        return back.apply(before);
    }
}
