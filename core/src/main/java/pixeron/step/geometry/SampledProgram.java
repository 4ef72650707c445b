package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import pixeron.formula.Function;
import pixeron.formula.Operator;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.Helper;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.step.Step;
import pixeron.step.neighborhood.ProgramBorder;

/**
 * The program of a step that reads between pixels.
 *
 * @param rows of the result, over H and W
 * @param columns of the result, over H and W
 */
record SampledProgram(Code rows, Code columns) {

    private static final Code ONE = Code.of(1);

    LoopProgram of(Step step, Image before, Cells cells, Outside outside) {
        List<Statement> start = new ArrayList<>(List.of(Statement.set("M", Code.of(before.maximumLevel())), Statement.set("h", rows), Statement.set("w", columns)));
        List<Statement> body = new ArrayList<>(cells instanceof PointCells points ? read(points, outside, start) : mean());
        body.addAll(Ending.of(step.rounding(), step.overflow(), Code.name("M")));
        return new LoopProgram(step.type().name(), step.line(), start, Code.name("h"), Code.name("w"), body).reading(before);
    }

    private static List<Statement> read(PointCells points, Outside outside, List<Statement> start) {
        points.points().numbers().forEach((name, number) -> {
            if (!Set.of("H", "W", "h", "w").contains(name)) {
                start.add(Statement.set(named(name), Code.of(number)));
            }
        });
        boolean isReal = points.points().numbers().values().stream().anyMatch(Approximate.class::isInstance);
        List<Statement> body = new ArrayList<>();
        points.points().parts().formulas().forEach((name, formula) -> body.add(Statement.set(name, Code.of(formula, SampledProgram::variable))));
        body.add(Statement.set("y", near(isReal, Code.of(points.points().y(), SampledProgram::variable))));
        body.add(Statement.set("x", near(isReal, Code.of(points.points().x(), SampledProgram::variable))));
        body.addAll(points.limit().isPresent() ? limited(points.reading()) : around(points.reading(), outside));
        return body;
    }

    /** What the result is called in every program must not be a number of the formula: s is the sine there. */
    private static String named(String name) {
        return name.equals("s") ? "sine" : name.equals("c") ? "cosine" : name;
    }

    private static Code variable(String name) {
        return Code.name(named(name));
    }

    private static Code near(boolean isReal, Code place) {
        return isReal ? Code.helped(Helper.NEARLY, place) : place;
    }

    private static List<Statement> limited(Reading reading) {
        List<Statement> body = new ArrayList<>();
        if (reading == Reading.LINEAR) {
            body.addAll(parts("y", "top", "below", "a", "H"));
            body.addAll(parts("x", "left", "right", "b", "W"));
            Code upper = share("a", false).times(across("top"));
            body.add(Statement.set("exact", upper.plus(share("a", true).times(across("below")))));
        } else {
            body.add(Statement.set("row", cell("y", reading).between(Code.of(0), last("H"))));
            body.add(Statement.set("column", cell("x", reading).between(Code.of(0), last("W"))));
            body.add(Statement.set("exact", Code.before(Code.name("row"), Code.name("column"))));
        }
        return body;
    }

    /** What is outside counts as well. */
    private static List<Statement> around(Reading reading, Outside outside) {
        if (reading != Reading.LINEAR) {
            List<Statement> body = new ArrayList<>(List.of(Statement.set("row", cell("y", reading)), Statement.set("column", cell("x", reading))));
            body.addAll(at("exact", outside));
            return body;
        }
        List<Statement> cell = new ArrayList<>(List.of(Statement.set("row", Code.name("top").plus(Code.name("a"))), Statement.set("column", Code.name("left").plus(Code.name("b")))));
        cell.addAll(at("v", outside));
        cell.add(Statement.set("exact", Code.name("exact").plus(weight("a", "down").times(weight("b", "across")).times(Code.name("v")))));
        Code two = Code.of(2);
        return List.of(Statement.set("top", floor(Code.name("y"))), Statement.set("left", floor(Code.name("x"))), Statement.set("down", Code.name("y").minus(Code.name("top"))),
                Statement.set("across", Code.name("x").minus(Code.name("left"))), Statement.set("exact", Code.of(0)),
                new Statement.Loop("a", Code.of(0), two, List.of(new Statement.Loop("b", Code.of(0), two, cell))));
    }

    /** How near a place lies to the cell before it, or to the one after it. */
    private static Code weight(String side, String part) {
        return new Code.Choice(new Code.Binary(Operator.EQUAL, Code.name(side), ONE), Code.name(part), ONE.minus(Code.name(part)));
    }

    private static List<Statement> at(String name, Outside outside) {
        return ProgramBorder.reading(outside.border(), "row", "column", new Statement.Set(name, Code.before(Code.name("row"), Code.name("column"))), outside.value());
    }

    /** Each cell with the part of it that lies under the pixel. */
    private static List<Statement> mean() {
        Code area = Code.name("H").times(Code.name("W")).over(Code.name("h").times(Code.name("w")));
        List<Statement> body = new ArrayList<>(List.of(Statement.set("top", Code.name("i").times(Code.name("H")).over(Code.name("h"))),
                Statement.set("bottom", Code.name("i").plus(ONE).times(Code.name("H")).over(Code.name("h"))),
                Statement.set("left", Code.name("j").times(Code.name("W")).over(Code.name("w"))),
                Statement.set("right", Code.name("j").plus(ONE).times(Code.name("W")).over(Code.name("w"))), Statement.set("total", Code.of(0))));
        Statement add = Statement.set("total", Code.name("total").plus(inside("a", "top", "bottom").times(inside("b", "left", "right"))
                .times(Code.before(Code.name("a"), Code.name("b")))));
        body.add(new Statement.Loop("a", floor(Code.name("top")), ceiling("bottom"), List.of(new Statement.Loop("b", floor(Code.name("left")), ceiling("right"), List.of(add)))));
        body.add(Statement.set("exact", Code.name("total").over(area)));
        return body;
    }

    private static Code inside(String cell, String from, String to) {
        Code end = new Code.Call(Function.MIN, List.of(Code.name(to), Code.name(cell).plus(ONE)));
        return end.minus(new Code.Call(Function.MAX, List.of(Code.name(from), Code.name(cell))));
    }

    private static Code ceiling(String name) {
        return new Code.Call(Function.CEILING, List.of(Code.name(name)));
    }

    private static Code floor(Code value) {
        return new Code.Call(Function.FLOOR, List.of(value));
    }

    private static Code last(String size) {
        return Code.name(size).minus(ONE);
    }

    private static Code cell(String place, Reading reading) {
        Code from = Code.name(place);
        return floor(reading == Reading.NEAREST ? from.plus(Code.of(Rational.HALF)) : from);
    }

    /** A place limited to the image, the cells before and after it, and how far it lies from the first of them. */
    private static List<Statement> parts(String place, String first, String second, String part, String size) {
        return List.of(Statement.set(place, Code.name(place).between(Code.of(0), last(size))), Statement.set(first, floor(Code.name(place))),
                Statement.set(second, new Code.Call(Function.MIN, List.of(Code.name(first).plus(ONE), last(size)))),
                Statement.set(part, Code.name(place).minus(Code.name(first))));
    }

    private static Code share(String part, boolean isSecond) {
        return isSecond ? Code.name(part) : ONE.minus(Code.name(part));
    }

    private static Code across(String row) {
        Code right = share("b", true).times(Code.before(Code.name(row), Code.name("right")));
        return share("b", false).times(Code.before(Code.name(row), Code.name("left"))).plus(right);
    }
}
