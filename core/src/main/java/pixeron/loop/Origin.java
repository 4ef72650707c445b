package pixeron.loop;

import java.util.List;
import java.util.stream.Stream;
import pixeron.formula.Function;
import pixeron.image.Area;
import pixeron.image.Frame;

/**
 * How a number of a formula comes about that the image gives.
 *
 * @param start what is done once, before the loop
 * @param each what is done for each pixel, before the formula
 * @param readsOther whether it reads another image, the grid {@code other}
 */
public record Origin(List<Statement> start, List<Statement> each, boolean readsOther) {

    public Origin {
        start = List.copyOf(start);
        each = List.copyOf(each);
    }

    public Origin(List<Statement> start, List<Statement> each) {
        this(start, each, false);
    }

    /** Returns a number that is set once. */
    public static Origin once(String name, Code value) {
        return new Origin(List.of(Statement.set(name, value)), List.of());
    }

    /** Returns this, and then another in the same way. */
    public Origin and(Origin other) {
        return new Origin(Stream.concat(start.stream(), other.start.stream()).toList(), Stream.concat(each.stream(), other.each.stream()).toList(), readsOther || other.readsOther);
    }

    /**
     * Returns a loop over the pixels that count: all of the image, or those of the area.
     *
     * @param body is done for the pixel in row a and column b
     */
    public static Statement over(Area area, Frame frame, List<Statement> body) {
        boolean isAll = area.height() == frame.rows() && area.width() == frame.columns();
        Code top = Code.of(area.row());
        Code left = Code.of(area.column());
        return new Statement.Loop("a", top, isAll ? Code.name("H") : Code.of(area.row() + (long) area.height()), List.of(
                new Statement.Loop("b", left, isAll ? Code.name("W") : Code.of(area.column() + (long) area.width()), body)));
    }

    /** Returns how many pixels count, called {@code N}. */
    public static Origin pixels(Area area, Frame frame) {
        boolean isAll = area.height() == frame.rows() && area.width() == frame.columns();
        return once("N", isAll ? Code.name("H").times(Code.name("W")) : Code.of(area.count()));
    }

    /** Returns the smallest, or the largest, of the pixels that count. */
    public static Origin extreme(String name, boolean isLeast, Area area, Frame frame) {
        Code cell = Code.before(Code.name("a"), Code.name("b"));
        return new Origin(List.of(Statement.set(name, Code.before(Code.of(area.row()), Code.of(area.column()))), over(area, frame, List.of(Statement.set(name,
                new Code.Call(isLeast ? Function.MIN : Function.MAX, List.of(Code.name(name), cell)))))), List.of());
    }

    /** Returns the mean of the pixels that count. */
    public static Origin mean(String name, Area area, Frame frame) {
        return new Origin(List.of(Statement.set("total", Code.of(0)), Statement.set("pixels", Code.of(0)), over(area, frame, List.of(
                Statement.set("total", Code.name("total").plus(Code.before(Code.name("a"), Code.name("b")))),
                Statement.set("pixels", Code.name("pixels").plus(Code.of(1))))), Statement.set(name, Code.name("total").over(Code.name("pixels")))), List.of());
    }

    /** Returns how often each level occurs, the list {@code n}, and how often it or one below it does, the list {@code running}. */
    public static Origin counts(Area area, Frame frame) {
        Code level = Code.before(Code.name("a"), Code.name("b"));
        Code one = new Code.At("n", Code.name("k"));
        return new Origin(List.of(new Statement.Zeros("n", Code.name("M").plus(Code.of(1))), over(area, frame, List.of(new Statement.SetAt("n", level,
                new Code.At("n", level).plus(Code.of(1))))), new Statement.Zeros("running", Code.name("M").plus(Code.of(1))), Statement.set("sofar", Code.of(0)),
                new Statement.Loop("k", Code.of(0), Code.name("M").plus(Code.of(1)), List.of(Statement.set("sofar", Code.name("sofar").plus(one)),
                        new Statement.SetAt("running", Code.name("k"), Code.name("sofar"))))), List.of());
    }

    /** Returns a number that is looked up for the level of each pixel. */
    public static Origin ofLevel(String name, String list) {
        return new Origin(List.of(), List.of(Statement.set(name, new Code.At(list, Code.name("r")))));
    }
}
