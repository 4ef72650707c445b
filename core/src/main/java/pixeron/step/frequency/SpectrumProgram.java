package pixeron.step.frequency;

import java.util.ArrayList;
import java.util.List;
import pixeron.formula.Function;
import pixeron.formula.Operator;
import pixeron.image.SpectrumFace;
import pixeron.loop.Code;
import pixeron.loop.Helper;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.number.Approximate;
import pixeron.step.Step;

/** Loops over waves as programs: sums over all pixels for each pair of frequencies, and back. Both parts of a spectrum are grids of their own. */
final class SpectrumProgram {

    private static final String REAL = "re";
    private static final String IMAGINARY = "im";
    /** Both parts of a spectrum, each from a file. */
    private static final List<LoopProgram.Input> PARTS = List.of(new LoopProgram.Input("real", true), new LoopProgram.Input("imaginary", true));
    private static final Code ROWS = Code.name("H");
    private static final Code COLUMNS = Code.name("W");

    private SpectrumProgram() {
    }

    /** Returns one face of the spectrum of an image. */
    static LoopProgram forwards(Step step, SpectrumFace face, int maximum) {
        Code r = Code.before(Code.name("a"), Code.name("b"));
        List<Statement> each = List.of(turn("a", "b"), angle(), Statement.set(REAL, Code.name(REAL).plus(r.times(cosine()))),
                Statement.set(IMAGINARY, Code.name(IMAGINARY).minus(r.times(sine()))));
        List<Statement> body = new ArrayList<>(frequency("i", "j"));
        body.addAll(List.of(Statement.set(REAL, Code.of(0)), Statement.set(IMAGINARY, Code.of(0)), overAll(each)));
        body.addAll(face(face));
        return new LoopProgram(step.type().name(), step.line() + ", " + face.word(), LoopProgram.BEFORE, maximum(maximum), ROWS, COLUMNS, body);
    }

    /** Returns one face of a spectrum, each coefficient times a factor. */
    static LoopProgram times(Step step, SpectrumFace face, int maximum, Filter filter) {
        Code factor = Code.name("factor");
        List<Statement> body = new ArrayList<>(frequency("i", "j"));
        body.addAll(filter.statements());
        body.add(Statement.set(REAL, factor.times(new Code.Cell("real", Code.name("i"), Code.name("j")))));
        body.add(Statement.set(IMAGINARY, factor.times(new Code.Cell("imaginary", Code.name("i"), Code.name("j")))));
        body.addAll(face(face));
        return new LoopProgram(step.type().name(), step.line() + ", " + face.word(), PARTS, maximum(maximum), ROWS, COLUMNS, body);
    }

    /** @param ending what makes s of the value before rounding */
    static LoopProgram back(Step step, int maximum, List<Statement> ending) {
        Code real = new Code.Cell("real", Code.name("a"), Code.name("b")).times(cosine());
        Code imaginary = new Code.Cell("imaginary", Code.name("a"), Code.name("b")).times(sine());
        List<Statement> each = new ArrayList<>(frequency("a", "b"));
        each.addAll(List.of(turn("i", "j"), angle(), Statement.set("exact", Code.name("exact").plus(real.minus(imaginary)))));
        List<Statement> body = new ArrayList<>(List.of(Statement.set("exact", Code.of(0)), overAll(each),
                Statement.set("exact", Code.helped(Helper.SNAPPED, Code.name("exact").over(ROWS.times(COLUMNS)), Code.name("M")))));
        body.addAll(ending);
        return new LoopProgram(step.type().name(), step.line(), PARTS, maximum(maximum), ROWS, COLUMNS, body);
    }

    private static List<Statement> maximum(int maximum) {
        return List.of(Statement.set("M", Code.of(maximum)));
    }

    private static Statement overAll(List<Statement> each) {
        return new Statement.Loop("a", Code.of(0), ROWS, List.of(new Statement.Loop("b", Code.of(0), COLUMNS, each)));
    }

    /** The frequency zero is in the middle. */
    private static List<Statement> frequency(String row, String column) {
        return List.of(Statement.set("u", Code.name(row).minus(half(ROWS))), Statement.set("v", Code.name(column).minus(half(COLUMNS))));
    }

    private static Code half(Code size) {
        return new Code.Call(Function.FLOOR, List.of(size.over(Code.of(2))));
    }

    /** In parts of a whole turn, of which there are H · W; whole turns are left out. */
    private static Statement turn(String row, String column) {
        Code down = Code.name("u").times(Code.name(row)).times(COLUMNS);
        Code right = Code.name("v").times(Code.name(column)).times(ROWS);
        return Statement.set("turn", down.plus(right).mod(ROWS.times(COLUMNS)));
    }

    private static Statement angle() {
        return Statement.set("angle", Code.of(Approximate.from(2 * Math.PI)).times(Code.name("turn")).over(ROWS.times(COLUMNS)));
    }

    private static Code cosine() {
        return new Code.Call(Function.COS, List.of(Code.name("angle")));
    }

    private static Code sine() {
        return new Code.Call(Function.SIN, List.of(Code.name("angle")));
    }

    private static List<Statement> face(SpectrumFace face) {
        Code real = Code.name(REAL);
        Code imaginary = Code.name(IMAGINARY);
        Code size = Code.name("M").times(ROWS).times(COLUMNS);
        List<Statement> body = new ArrayList<>(List.of(Statement.set(REAL, Code.helped(Helper.SNAPPED, real, size)),
                Statement.set(IMAGINARY, Code.helped(Helper.SNAPPED, imaginary, size))));
        Code magnitude = new Code.Call(Function.SQRT, List.of(real.times(real).plus(imaginary.times(imaginary))));
        Code isNothing = new Code.All(List.of(equalsZero(real), equalsZero(imaginary)));
        body.add(Statement.set("s", switch (face) {
            case REAL -> real;
            case IMAGINARY -> imaginary;
            case MAGNITUDE -> magnitude;
            case LOG -> new Code.Call(Function.LN, List.of(Code.of(1).plus(magnitude)));
            case PHASE -> new Code.Choice(isNothing, Code.of(0), new Code.Call(Function.ANGLE, List.of(real, imaginary)));
        }));
        return body;
    }

    private static Code equalsZero(Code number) {
        return new Code.Binary(Operator.EQUAL, number, Code.of(0));
    }
}
