package pixeron.step;

import java.util.List;
import java.util.Optional;
import pixeron.image.Frame;
import pixeron.image.Result;

/** A step bound to what is before it, whatever kind its result has: an image ({@link Operation}), or one with several faces. */
public interface Bound {

    /** @return the step */
    Step step();

    /** @return size and maximum level of the result */
    Frame frame();

    /**
     * @param progress told how far it is
     * @return the step's result
     * @throws pixeron.PixeronException if some pixel has no value; names the first one
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    Result result(Progress progress);

    /** @return the names of the faces of the result, in their order */
    List<String> faces();

    /** @return what a person should know of this result, one sentence each */
    default List<String> notes() {
        return List.of();
    }

    /**
     * @param name of a face of the result
     * @return how it is worked out; empty where there is no such face
     */
    Optional<Operation> face(String name);
}
