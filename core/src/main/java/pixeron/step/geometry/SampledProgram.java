package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.formula.Function;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.number.Rational;
import pixeron.step.Step;

/**
 * The program of a step that reads between pixels, and reads nothing outside.
 *
 * @param rows of the result, over H and W
 * @param columns of the result, over H and W
 */
record SampledProgram(Code rows, Code columns) {

    private static final Code ONE = Code.of(1);

    /** @return the program; empty where the cells are no points, or the image has no levels */
    Optional<LoopProgram> of(Step step, Image before, Cells cells) {
        if (!(cells instanceof PointCells points) || points.limit().isEmpty() || !before.isLevelImage()) {
            return Optional.empty();
        }
        List<Statement> start = List.of(Statement.set("M", Code.of(before.maximumLevel())), Statement.set("h", rows), Statement.set("w", columns));
        List<Statement> body = new ArrayList<>(List.of(Statement.set("y", Code.of(points.points().y(), Code::name)),
                Statement.set("x", Code.of(points.points().x(), Code::name))));
        if (points.reading() == Reading.LINEAR) {
            body.addAll(parts("y", "top", "below", "a", "H"));
            body.addAll(parts("x", "left", "right", "b", "W"));
            Code upper = share("a", false).times(across("top"));
            body.add(Statement.set("exact", upper.plus(share("a", true).times(across("below")))));
        } else {
            body.add(Statement.set("row", cell("y", points.reading(), "H")));
            body.add(Statement.set("column", cell("x", points.reading(), "W")));
            body.add(Statement.set("exact", Code.before(Code.name("row"), Code.name("column"))));
        }
        body.addAll(Ending.of(step.rounding(), step.overflow(), Code.name("M")));
        return Optional.of(new LoopProgram(step.type().name(), step.line(), start, Code.name("h"), Code.name("w"), body));
    }

    private static Code floor(Code value) {
        return new Code.Call(Function.FLOOR, List.of(value));
    }

    private static Code last(String size) {
        return Code.name(size).minus(ONE);
    }

    private static Code cell(String place, Reading reading, String size) {
        Code from = Code.name(place);
        return floor(reading == Reading.NEAREST ? from.plus(Code.of(Rational.HALF)) : from).between(Code.of(0), last(size));
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
