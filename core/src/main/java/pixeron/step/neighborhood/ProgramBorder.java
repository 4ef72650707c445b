package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import pixeron.formula.Function;
import pixeron.loop.Code;
import pixeron.loop.Statement;

/** What stands outside the image, as statements of a program. */
public final class ProgramBorder {

    private ProgramBorder() {
    }

    /** @return whether a place lies in the image */
    public static Code isInside(String row, String column) {
        List<Code> both = new ArrayList<>(Code.inside(Code.name(row), Code.of(0), Code.name("H")));
        both.addAll(Code.inside(Code.name(column), Code.of(0), Code.name("W")));
        return new Code.All(both);
    }

    /** @return what brings a place outside back into the image, as the border says; nothing where nothing of the image stands there */
    public static List<Statement> within(Border border, String name, Code size) {
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
