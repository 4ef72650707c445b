package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import pixeron.formula.Function;
import pixeron.loop.Code;
import pixeron.loop.Statement;
import pixeron.number.Value;

/** What is outside the image, as statements of a program. */
public final class ProgramBorder {

    private ProgramBorder() {
    }

    /** Returns whether a place lies in the image. */
    static Code isInside(String row, String column) {
        List<Code> both = new ArrayList<>(Code.inside(Code.name(row), Code.of(0), Code.name("H")));
        both.addAll(Code.inside(Code.name(column), Code.of(0), Code.name("W")));
        return new Code.All(both);
    }

    /**
     * Returns what reads at a place that may lie outside the image.
     *
     * @param read sets a name to what is at the place
     * @param outside what the name is set to outside, where the border has a value of its own
     */
    public static List<Statement> reading(Border border, String row, String column, Statement.Set read, Value outside) {
        if (border == Border.ZERO || border == Border.CONSTANT) {
            return List.of(new Statement.When(isInside(row, column), List.of(read), List.of(Statement.set(read.name(), Code.of(outside)))));
        }
        List<Statement> statements = new ArrayList<>(within(border, row, Code.name("H")));
        statements.addAll(within(border, column, Code.name("W")));
        statements.add(read);
        return statements;
    }

    /** Returns what brings a place outside back into the image, as the border says; nothing where nothing of the image is there. */
    private static List<Statement> within(Border border, String name, Code size) {
        Code place = Code.name(name);
        Code two = Code.of(2);
        return switch (border) {
            case REPEAT -> List.of(Statement.set(name, place.between(Code.of(0), size.minus(Code.of(1)))));
            case WRAP -> List.of(Statement.set(name, place.mod(size)));
            case MIRROR_HALF -> List.of(Statement.set(name, place.mod(two.times(size))), folded(name, two.times(size).minus(Code.of(1))));
            case MIRROR_WHOLE -> List.of(Statement.set(name, place.mod(new Code.Call(Function.MAX, List.of(Code.of(1), two.times(size).minus(two))))),
                    folded(name, two.times(size).minus(two)));
            default -> List.of();
        };
    }

    /** The second half comes back the same way. */
    private static Statement folded(String name, Code end) {
        return Statement.set(name, new Code.Call(Function.MIN, List.of(Code.name(name), end.minus(Code.name(name)))));
    }
}
