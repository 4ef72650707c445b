package pixeron.image;

import java.util.List;

/** A result with several named images of one size, on each of which a step works as on an image of its own: channels, or components of a color model. */
public sealed interface Components extends Result permits ColorImage, ModelImage {

    /** The component for opacity, which stands last where there is one. */
    String ALPHA = "alpha";

    /**
     * Returns a result of the same kind.
     *
     * @param faces all of its components, in their order
     */
    Components with(List<Image> faces);

    /** Returns the components that a step works on which names none; empty where it must name them. */
    List<String> unnamed();

    /** Returns those that are written by hand in one cell. */
    default List<Face> inCells() {
        return faces();
    }

    /** Returns the names of its components, in their order. */
    default List<String> names() {
        return faces().stream().map(Face::name).toList();
    }

    /** Returns whether another result has the same components in the same scale, so that both can be taken component by component. */
    default boolean matches(Result other) {
        return other.getClass() == getClass();
    }
}
