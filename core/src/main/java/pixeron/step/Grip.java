package pixeron.step;

import java.util.function.DoubleFunction;
import java.util.function.Function;

/** A part of a step that is taken hold of on a sheet, such as the rectangle of a crop. */
public sealed interface Grip {

    /** The sheet on which it lies. */
    enum On {
        BEFORE, OTHER, AFTER
    }

    /** Returns on which sheet. */
    On on();

    /** Returns what it is: piece, place, angle. */
    String name();

    /**
     * Returns where it is, in words.
     *
     * @param first what the first row and column are called, 0 or 1
     */
    String words(int first);

    /**
     * A rectangle, moved by its inside and sized by its edges.
     *
     * @param isSizable whether its edges can be dragged
     * @param change what the step becomes with another rectangle there; it is drawn to the nearest that there can be
     */
    record Rectangle(On on, String name, Piece piece, boolean isSizable, Function<Piece, Step> change) implements Grip {

        @Override
        public String words(int first) {
            return piece.words(first);
        }
    }

    /**
     * An arm from a fixed place to a tip, in rows and columns of the sheet with fractions.
     *
     * @param text what it says, such as 30°
     * @param change what the step becomes when the tip is dragged
     */
    record Arm(On on, String name, Place anchor, Place tip, String text, Pull change) implements Grip {

        @Override
        public String words(int first) {
            return text;
        }
    }

    /**
     * A circle, made smaller and larger by its edge.
     *
     * @param middle where it lies
     * @param radius in rows and columns
     * @param text what it says, such as radius 3
     * @param change what the step becomes with another radius
     */
    record Circle(On on, String name, Place middle, double radius, String text, DoubleFunction<Step> change) implements Grip {

        @Override
        public String words(int first) {
            return text;
        }
    }

    /** A place between pixels; the middle of the first pixel is (0.5, 0.5). */
    record Place(double row, double column) {
    }

    /** Dragging the tip of an arm. */
    @FunctionalInterface
    interface Pull {

        /**
         * Returns the step after dragging.
         *
         * @param from where it was taken hold of
         * @param to where it is now
         */
        Step to(Place from, Place to);
    }
}
