package pixeron.loop;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.Area;
import pixeron.number.Overflow;
import pixeron.number.Range;
import pixeron.number.Rounding;

/** The end of each turn of a loop: rounding and overflow, and pixels that stay as they are. */
public final class Ending {

    private Ending() {
    }

    /**
     * Returns what makes s of a value before rounding, which is called {@code exact}.
     *
     * @param maximum the largest level of the result
     */
    public static List<Statement> of(Rounding rounding, Overflow overflow, Code maximum) {
        List<Statement> end = new ArrayList<>();
        String name = "exact";
        if (rounding != Rounding.NONE) {
            end.add(Statement.set("rounded", new Code.Rounded(rounding, Code.name(name))));
            name = "rounded";
        }
        Code value = Code.name(name);
        end.add(Statement.set("s", overflow == Overflow.CLIP ? value.between(Code.of(0), maximum) : overflow == Overflow.WRAP
                ? value.mod(maximum.plus(Code.of(1))) : value));
        return end;
    }

    /**
     * Returns what makes s of a value before rounding, which is called {@code exact}.
     *
     * @param range where the result belongs
     */
    public static List<Statement> of(Rounding rounding, Overflow overflow, Range range) {
        List<Statement> end = new ArrayList<>();
        String name = "exact";
        if (rounding != Rounding.NONE) {
            end.add(Statement.set("rounded", new Code.Rounded(rounding, Code.name(name))));
            name = "rounded";
        }
        Code value = Code.name(name);
        Code lower = Code.of(range.lower());
        end.add(Statement.set("s", overflow == Overflow.CLIP ? value.between(lower, Code.of(range.upper())) : overflow == Overflow.WRAP
                ? lower.plus(value.minus(lower).mod(Code.of(range.period()))) : value));
        return end;
    }

    /** Returns the statements for pixels in an area; the others stay. */
    public static List<Statement> within(Optional<Area> area, List<Statement> statements) {
        return within(area, "before", statements);
    }

    /**
     * Returns statements that change pixels of an area only.
     *
     * @param grid what the image is called whose pixels stay
     */
    public static List<Statement> within(Optional<Area> area, String grid, List<Statement> statements) {
        if (area.isEmpty()) {
            return statements;
        }
        return List.of(new Statement.When(new Code.All(inside(area.get())), statements, List.of(Statement.set("s", new Code.Cell(grid, Code.name("i"), Code.name("j"))))));
    }

    /** Returns what holds of the row i and the column j of a pixel in an area. */
    public static List<Code> inside(Area area) {
        List<Code> inside = new ArrayList<>(Code.inside(Code.name("i"), Code.of(area.row()), Code.of(area.row() + (long) area.height())));
        inside.addAll(Code.inside(Code.name("j"), Code.of(area.column()), Code.of(area.column() + (long) area.width())));
        return inside;
    }
}
