package pixeron.step;

import java.util.List;
import java.util.Optional;
import pixeron.image.Frame;
import pixeron.image.Result;

/** A step bound to what is before it, whatever kind its result has: an image ({@link Operation}), or one with several faces. */
public interface Bound {

    /** Returns the step. */
    Step step();

    /** Returns size and maximum level of the result. */
    Frame frame();

    /**
     * Returns the step's result.
     *
     * @param progress receives the progress
     * @throws pixeron.PixeronException if some pixel has no value; names the first one
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    Result result(Progress progress);

    /** Returns the names of the faces of the result, in their order. */
    List<String> faces();

    /** Returns what a user should know of this result, one sentence each. */
    default List<String> notes() {
        return List.of();
    }

    /**
     * Returns how it is calculated; empty where there is no such face.
     *
     * @param name of a face of the result
     */
    Optional<Operation> face(String name);
}
