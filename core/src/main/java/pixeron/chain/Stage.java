package pixeron.chain;

import java.lang.ref.SoftReference;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import pixeron.PixeronException;
import pixeron.image.Result;
import pixeron.step.Bound;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Reference;
import pixeron.step.color.Binding;
import pixeron.step.key.ReferenceParameter;

/**
 * One step in its place, with what came of it. The step is bound and its result made when it is first asked
 * for, and both are kept as long as memory allows; after that they are made again, which gives the same.
 */
public final class Stage {

    private final Result input;
    private final Surroundings around;
    private final Stage previous;
    private final int position;
    private final Link link;
    private SoftReference<Made> kept = new SoftReference<>(null);
    private volatile Outcome.Failed failure;

    /** @param around what all steps have around them */
    Stage(Result input, Surroundings around, Stage previous, Link link) {
        this.input = input;
        this.around = around;
        this.previous = previous;
        this.position = previous == null ? 0 : previous.position + 1;
        this.link = link;
    }

    public Link link() {
        return link;
    }

    /** Returns from 0. */
    public int position() {
        return position;
    }

    /** Returns the image that the step is applied to, or why there is none. */
    public Outcome before(Progress progress) {
        return previous == null ? new Outcome.Done(input) : previous.after(progress);
    }

    /**
     * Returns the step's result; the input itself when the step is off.
     *
     * @param progress notified about this step's own calculation
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    public Outcome after(Progress progress) {
        if (!link.isOn()) {
            return before(progress);
        }
        Outcome before = before(progress);
        return before instanceof Outcome.Failed ? before : applied(before.required(), progress);
    }

    /** The step bound to its input, with its result. */
    private record Made(Bound bound, Result result) {
    }

    private Outcome applied(Result before, Progress progress) {
        Optional<Made> made = made(before, progress);
        return made.isPresent() ? new Outcome.Done(made.get().result()) : failure;
    }

    private synchronized Optional<Made> made(Result before, Progress progress) {
        Made known = kept.get();
        if (known != null || failure != null) {
            return Optional.ofNullable(known);
        }
        try {
            Bound bound = Binding.of(link.step(), inputs(before, progress));
            Made made = new Made(bound, bound.result(progress));
            kept = new SoftReference<>(made);
            return Optional.of(made);
        } catch (PixeronException problem) {
            failure = new Outcome.Failed(position, problem.getMessage());
            return Optional.empty();
        }
    }

    /** Returns what the step is applied to; empty where something failed before it. */
    public Optional<Inputs> inputs(Progress progress) {
        return before(progress) instanceof Outcome.Done before ? Optional.of(inputs(before.result(), progress)) : Optional.empty();
    }

    private Inputs inputs(Result before, Progress progress) {
        return new Inputs(before, reference -> other(reference, progress), around.mostPixels());
    }

    /** Returns the other results that the step names, those of them that there are. */
    public Map<String, Result> others(Progress progress) {
        Map<String, Result> found = new LinkedHashMap<>();
        for (ReferenceParameter key : link.step().type().references()) {
            link.step().arguments().find(key).filter(name -> !name.equals(Reference.SELF)).ifPresent(name -> {
                try {
                    found.put(name, other(name, progress));
                } catch (PixeronException notThere) {
                    // The step itself says so.
                }
            });
        }
        return found;
    }

    /** Returns the result of a step before this one, or another image. */
    private Result other(String reference, Progress progress) {
        OptionalInt step = Reference.step(reference);
        if (step.isEmpty()) {
            return around.other(reference, progress);
        }
        int wanted = step.getAsInt();
        if (wanted > position) {
            throw PixeronException.of("%s does not come before this step, which is step %d.", reference, position + 1);
        }
        Stage at = previous;
        while (at != null && at.position >= wanted) {
            at = at.previous;
        }
        return at == null ? input : at.after(progress).required();
    }

    /** Returns the step bound to its input, once for all who ask; empty when it is off or something failed up to its result. */
    public Optional<Bound> bound(Progress progress) {
        return link.isOn() && before(progress) instanceof Outcome.Done before ? made(before.result(), progress).map(Made::bound)
                : Optional.empty();
    }

    /** Returns the same, where the result is an image; empty where it has color. */
    public Optional<Operation> operation(Progress progress) {
        return bound(progress).filter(Operation.class::isInstance).map(Operation.class::cast);
    }
}
