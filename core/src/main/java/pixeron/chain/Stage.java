package pixeron.chain;

import java.lang.ref.SoftReference;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.step.Operation;
import pixeron.step.Progress;

/**
 * One step in its place, with what came of it. The result is made when it is first asked for and kept as long as memory
 * allows; after that it is made again, which gives the same.
 */
public final class Stage {

    private final Image source;
    private final Stage previous;
    private final int position;
    private final Link link;
    private SoftReference<Image> kept = new SoftReference<>(null);
    private Outcome.Failed failure;

    Stage(Image source, Stage previous, Link link) {
        this.source = source;
        this.previous = previous;
        this.position = previous == null ? 0 : previous.position + 1;
        this.link = link;
    }

    public Link link() {
        return link;
    }

    /** @return from 0 */
    public int position() {
        return position;
    }

    /** @return the image that the step is applied to, or why there is none */
    public Outcome before(Progress progress) {
        return previous == null ? new Outcome.Done(source) : previous.after(progress);
    }

    /**
     * @param progress told about this step's own calculation
     * @return the step's result; the input itself when the step is off
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    public Outcome after(Progress progress) {
        if (!link.isOn()) {
            return before(progress);
        }
        Outcome before = before(progress);
        return before instanceof Outcome.Failed ? before : applied(before.image(), progress);
    }

    private synchronized Outcome applied(Image before, Progress progress) {
        if (failure != null) {
            return failure;
        }
        Image known = kept.get();
        if (known != null) {
            return new Outcome.Done(known);
        }
        try {
            Image result = link.step().bind(before).result(progress);
            kept = new SoftReference<>(result);
            return new Outcome.Done(result);
        } catch (PixeronException problem) {
            failure = new Outcome.Failed(position, problem.getMessage());
            return failure;
        }
    }

    /** @return the step bound to its input, when it is on and all goes well up to its result */
    public Optional<Operation> operation(Progress progress) {
        return link.isOn() && after(progress) instanceof Outcome.Done
                ? Optional.of(link.step().bind(before(progress).image())) : Optional.empty();
    }
}
