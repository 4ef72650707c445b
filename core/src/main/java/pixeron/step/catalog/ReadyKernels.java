package pixeron.step.catalog;

import java.util.List;
import java.util.stream.Stream;
import pixeron.step.Step;

/** Well-known kernels that a grid of weights can be filled with, as steps that can be spelled out as one. */
public final class ReadyKernels {

    private static final List<Step> ALL = Stream.of("box size=3", "box size=5", "binomial size=3", "binomial size=5",
            "sharpen", "laplacian neighbors=4", "laplacian neighbors=8", "sobel part=x", "sobel part=y", "prewitt part=x",
            "prewitt part=y", "scharr part=x", "scharr part=y", "roberts part=x", "roberts part=y").map(StepLine::parse).toList();

    private ReadyKernels() {
    }

    /** Returns all of them, the usual ones first. */
    public static List<Step> all() {
        return ALL;
    }
}
