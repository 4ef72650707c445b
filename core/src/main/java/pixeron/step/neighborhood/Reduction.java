package pixeron.step.neighborhood;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.working.Line;
import pixeron.working.LoopWriter;

/**
 * One number out of the cells of a window: a weighted sum, a mean, a place in the sorted list, an extreme. It is written as
 * what is kept while the cells are taken one after the other, so that the value and the loop are the same thing.
 *
 * @param <A> what is kept while cells are taken; {@link #with} may change and return the one that it was given
 */
public interface Reduction<A> {

    /** Returns what the number is called in the formula that follows; "s" where none does. */
    String name();

    /** Returns what is kept before any cell is taken. */
    A none();

    /** Returns what is kept after one more cell, one that counts. */
    A with(A taken, Window.Cell cell);

    /**
     * Returns the number.
     *
     * @param taken after all cells
     * @throws pixeron.PixeronException if these cells have none
     */
    Value value(A taken, Neighborhood around);

    /** Returns whether a cell is taken. */
    default boolean counts(Window.Cell cell) {
        return cell.value().isPresent();
    }

    /** Returns the lines that lead to the number, below those of the window. */
    List<Line> lines(Neighborhood around);

    /** Returns the line of a loop before any cell is taken: {@code sum ← 0}. */
    String start();

    /** Returns the line of a loop that takes a cell. */
    String each();

    /** Returns the line of a loop after all cells; empty where the last cell's line has given the number its name. */
    default Optional<String> end() {
        return Optional.empty();
    }

    /** Returns the head of the loop over the cells. */
    default String head(Window window) {
        return "for each cell (a, b) of the " + window.height() + " × " + window.width() + " window"
                + (window.border() == Border.INSIDE ? " that is inside" : "");
    }

    /** Sets the variables of a loop to what is kept. */
    void show(A taken, LoopWriter out);

    /** Sets the variables of a loop that belong to a cell, beyond its place and value. */
    default void show(Window.Cell cell, LoopWriter out) {
    }

    /** Returns the weight of a cell, where the step's value is this weighted sum, divided. */
    default Optional<Value> weight(Window.Cell cell) {
        return Optional.empty();
    }

    /**
     * Returns what makes, for one thread, a faster way to the number of pixel after pixel of the image before, best asked
     * row by row; empty where there is none.
     */
    default Optional<Supplier<Function<Pixel, Value>>> moving(Image before, Window window) {
        return Optional.empty();
    }

    /** Returns the same as statements of a program; empty where none are written yet. */
    default Optional<Reduced> program() {
        return Optional.empty();
    }

    /** Returns a name for people of the image of these numbers, where it is worth looking at. */
    default Optional<String> sheet() {
        return Optional.empty();
    }

    /** Returns what is kept after all cells of a window. */
    default A taken(Neighborhood around) {
        A taken = none();
        for (Window.Cell cell : around.cells()) {
            taken = counts(cell) ? with(taken, cell) : taken;
        }
        return taken;
    }

    /** Returns the number of a window. */
    default Value of(Neighborhood around) {
        return value(taken(around), around);
    }
}
