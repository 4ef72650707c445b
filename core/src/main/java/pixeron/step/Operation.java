package pixeron.step;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.LoopProgram;
import pixeron.number.Value;
import pixeron.working.Table;

/**
 * A step bound to the image before it. Bulk result, single values and working come from one definition; {@code
 * result(p).value(pixel)} equals {@code value(pixel)} equals {@code explain(pixel).result()} for every pixel.
 */
public interface Operation extends Explained, Bound {

    /** An image has one face, which is calculated by the step itself. */
    @Override
    default Optional<Operation> face(String name) {
        return name.equals(Image.VALUE) ? Optional.of(this) : Optional.empty();
    }

    @Override
    default List<String> faces() {
        return List.of(Image.VALUE);
    }

    /** Returns the tables by which the step is calculated; the counts of levels first, where the input has levels. */
    default List<Table> tables() {
        return List.of();
    }

    /** Returns the row of one of {@link #tables} up to which the step goes; empty where none is chosen. */
    default Optional<TableChoice> choice(Table table) {
        return Optional.empty();
    }

    /**
     * Returns the step as it goes on from there; empty where nothing follows from this table.
     *
     * @param table one of {@link #tables}
     * @param cells what a user wrote in it, and what follows from that
     * @throws pixeron.PixeronException if nothing can follow from such cells
     */
    default Optional<Explained> given(Table table, Table.Cells cells) {
        return Optional.empty();
    }

    /** Returns the other image that the step takes; empty where it takes none. */
    default Optional<Beside> beside() {
        return Optional.empty();
    }

    /** Returns names for people of images that are calculated on the way, such as the mean of the window of each pixel. */
    default List<String> sheetNames() {
        return List.of();
    }

    /**
     * Returns that image, with the size of the result.
     *
     * @param name one of {@link #sheetNames}
     * @param progress receives the progress
     */
    default Image sheet(String name, Progress progress) {
        throw new IllegalArgumentException("there is no result " + name);
    }

    /** Returns what becomes of every level; empty where that depends on more than the level, or there are no levels. */
    default Optional<Mapping> mapping() {
        return Optional.empty();
    }

    /** Returns what can be dragged on the step's curve. */
    default List<Handle> handles() {
        return List.of();
    }

    /**
     * Returns the same step reading there, which shows what writing into the image being read leads to; empty where the
     * step reads no pixel but its own, or its result has another size.
     *
     * @param read gives what is read at a pixel, in place of the image before
     */
    default Optional<Explained> reading(Function<Pixel, Value> read) {
        return Optional.empty();
    }

    /** Returns where a user would write who goes through the image before; empty where every place of the result is a whole one of it. */
    default Optional<Forward> forward() {
        return Optional.empty();
    }

    /**
     * Returns the same step with that cell left out of every window; empty where the step has no windows, or its result has
     * another size.
     *
     * @param cell which cell of each window, numbered as in {@link #sources}
     */
    default Optional<Explained> missing(int cell) {
        return Optional.empty();
    }

    /**
     * Returns the same step with another number for that name; empty where there is no formula with such a name.
     *
     * @param name a name in the step's formula, such as M
     */
    default Optional<Explained> withNumber(String name, Value number) {
        return Optional.empty();
    }

    /**
     * Returns the places of the input that its value comes from, for a window row by row.
     *
     * @param pixel of the result
     */
    List<Source> sources(Pixel pixel);

    /**
     * Returns the result pixel that it went to, or around which it counts; empty where it went nowhere.
     *
     * @param pixel of the input
     */
    default Optional<Pixel> home(Pixel pixel) {
        return isSpread() ? Optional.empty() : Optional.of(pixel).filter(this::contains);
    }

    /** Returns the pixel of the input that a result pixel represents; empty where it represents none, such as one from outside. */
    default Optional<Pixel> counterpart(Pixel pixel) {
        return Optional.of(pixel);
    }

    /** Returns what of the input lies under a result pixel, where that need not be whole pixels; empty where it always is. */
    default Optional<Footprint> footprint(Pixel pixel) {
        return Optional.empty();
    }

    /** Returns whether values change their places, so that {@link #counterpart} is another pixel. */
    default boolean isMoving() {
        return false;
    }

    /** Returns whether every value of the result is made of the whole input, so that no pixel of one represents one of the other. */
    default boolean isSpread() {
        return false;
    }

    /** Returns what coefficients are multiplied with; empty where the step is no filter by distance. */
    default Optional<Profile> profile() {
        return Optional.empty();
    }

    /** Returns the wave that a value of the result belongs to; empty where the result is no spectrum. */
    default Optional<Wave> wave(Pixel pixel) {
        return Optional.empty();
    }

    /** Returns what the step is applied to. */
    default Inputs inputs() {
        return new Inputs(before());
    }

    /**
     * Returns the same step with another end; empty where it only moves values.
     *
     * @param other rounding and overflow
     */
    default Optional<Explained> finished(Finish other) {
        return Optional.empty();
    }

    /** Returns the image that the step is applied to. */
    Image before();

    /** Returns the loop over all pixels as a whole program that works on any image of this kind; empty where none is written. */
    default Optional<LoopProgram> program() {
        return Optional.empty();
    }

    /** Returns rounding and overflow, in the frame of the result. */
    default Finish finish() {
        return Finish.of(step(), frame());
    }

    @Override
    Image result(Progress progress);
}
