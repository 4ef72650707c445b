package pixeron.step.lowrank;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import pixeron.formula.Function;
import pixeron.formula.Operator;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.Helper;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.number.Approximate;
import pixeron.step.Step;

/**
 * The first patterns of an image as a program. Columns of the image are turned toward each other, two at a time, until all stand upright on
 * each other: then their lengths are the singular values, and what they were turned by gives the rows of the patterns.
 */
final class LowRankProgram {

    /** Far more than are needed: after each, what is left to be turned is about the square of what was left before. */
    private static final int SWEEPS = 30;
    private static final Code H = Code.name("H");
    private static final Code W = Code.name("W");
    /** Products that are less than this part of the lengths come from the end of the calculation. */
    private static final Code UPRIGHT = Code.of(Approximate.from(1e-15));
    private static final Code ZERO = Code.of(0);
    private static final Code ONE = Code.of(1);

    private LowRankProgram() {
    }

    /**
     * @param isKept over {@code place}, how many stronger ones there are, and {@code stronger} and {@code total}, the sums of those and of all: whether
     *     a pattern is kept
     * @param measure of the square of a singular value: what is summed up
     */
    static LoopProgram of(Step step, int maximum, Code isKept, UnaryOperator<Code> measure) {
        List<Statement> start = new ArrayList<>(List.of(Statement.set("M", Code.of(maximum)), new Statement.NewGrid("left", H, W), new Statement.NewGrid("across", W, W),
                loop("a", H, loop("b", W, new Statement.SetCell("left", Code.name("a"), Code.name("b"), Code.before(Code.name("a"), Code.name("b"))))),
                loop("a", W, new Statement.SetCell("across", Code.name("a"), Code.name("a"), ONE))));
        Statement pair = new Statement.Loop("n", Code.name("m").plus(ONE), W, turned());
        start.add(loop("k", Code.of(SWEEPS), loop("m", W, pair)));
        start.addAll(strengths(isKept, measure));
        Statement add = Statement.set("exact", Code.name("exact").plus(cell("left", "i", "m").times(cell("across", "j", "m"))));
        Code size = Code.name("M").times(root(H.times(W)));
        List<Statement> body = new ArrayList<>(List.of(Statement.set("exact", ZERO), loop("m", W, new Statement.When(
                new Code.Binary(Operator.EQUAL, new Code.At("kept", Code.name("m")), ONE), List.of(add), List.of())),
                Statement.set("exact", Code.helped(Helper.SNAPPED, Code.name("exact"), size))));
        body.addAll(Ending.of(step.rounding(), step.overflow(), Code.name("M")));
        return new LoopProgram(step.type().name(), step.line(), start, H, W, body);
    }

    /** Two columns are turned by the angle that makes their product 0. */
    private static List<Statement> turned() {
        Code mm = Code.name("mm");
        Code nn = Code.name("nn");
        Code mn = Code.name("mn");
        Code slope = Code.name("slope");
        Code way = new Code.Choice(slope.less(ZERO), Code.of(-1), ONE);
        Code steep = new Code.Call(Function.ABS, List.of(slope)).plus(root(ONE.plus(slope.times(slope))));
        List<Statement> turning = List.of(Statement.set("slope", nn.minus(mm).over(Code.of(2).times(mn))), Statement.set("tangent", way.over(steep)),
                Statement.set("cosine", ONE.over(root(ONE.plus(Code.name("tangent").times(Code.name("tangent")))))),
                Statement.set("sine", Code.name("cosine").times(Code.name("tangent"))), loop("a", H, both("left")), loop("a", W, both("across")));
        return List.of(Statement.set("mm", ZERO), Statement.set("nn", ZERO), Statement.set("mn", ZERO), loop("a", H, sum("mm", "m", "m"), sum("nn", "n", "n"), sum("mn", "m", "n")),
                new Statement.When(new Code.Binary(Operator.GREATER, new Code.Call(Function.ABS, List.of(mn)), UPRIGHT.times(mm.plus(nn))), turning, List.of()));
    }

    private static Statement sum(String name, String one, String other) {
        return Statement.set(name, Code.name(name).plus(cell("left", "a", one).times(cell("left", "a", other))));
    }

    private static Statement[] both(String grid) {
        Code cosine = Code.name("cosine");
        Code sine = Code.name("sine");
        Code here = Code.name("here");
        Code there = cell(grid, "a", "n");
        return new Statement[] {Statement.set("here", cell(grid, "a", "m")),
                new Statement.SetCell(grid, Code.name("a"), Code.name("m"), cosine.times(here).minus(sine.times(there))),
                new Statement.SetCell(grid, Code.name("a"), Code.name("n"), sine.times(here).plus(cosine.times(there)))};
    }

    /** Which patterns are kept, 1 or 0 for each. */
    private static List<Statement> strengths(Code isKept, UnaryOperator<Code> measure) {
        Code m = Code.name("m");
        Code n = Code.name("n");
        Code mine = new Code.At("strength", m);
        Code other = new Code.At("strength", n);
        Statement one = Statement.set("place", Code.name("place").plus(ONE));
        Statement sum = Statement.set("stronger", Code.name("stronger").plus(measure.apply(other)));
        // Of two as strong as each other, the one further left counts as the stronger one.
        List<Statement> count = List.of(new Statement.When(new Code.Binary(Operator.GREATER, other, mine), List.of(one, sum), List.of()),
                new Statement.When(new Code.All(List.of(new Code.Binary(Operator.EQUAL, other, mine), n.less(m))), List.of(one, sum), List.of()));
        return List.of(new Statement.Zeros("strength", W), new Statement.Zeros("kept", W), Statement.set("total", ZERO), loop("m", W, Statement.set("mm", ZERO),
                        loop("a", H, sum("mm", "m", "m")), new Statement.SetAt("strength", m, Code.name("mm")),
                        Statement.set("total", Code.name("total").plus(measure.apply(Code.name("mm"))))),
                loop("m", W, Statement.set("place", ZERO), Statement.set("stronger", ZERO), new Statement.Loop("n", ZERO, W, count),
                        new Statement.SetAt("kept", m, new Code.Choice(isKept, ONE, ZERO))));
    }

    static Code root(Code code) {
        return new Code.Call(Function.SQRT, List.of(code));
    }

    private static Code cell(String grid, String row, String column) {
        return new Code.Cell(grid, Code.name(row), Code.name(column));
    }

    private static Statement loop(String name, Code below, Statement... body) {
        return new Statement.Loop(name, ZERO, below, List.of(body));
    }
}
