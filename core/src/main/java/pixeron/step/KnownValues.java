package pixeron.step;

import java.util.function.Function;
import pixeron.PixeronException;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.working.LoopWriter;
import pixeron.working.Working;

/**
 * An operation whose values are calculated once each, for when many sheets or many slips are held against the same result.
 *
 * <p>Several threads may ask at the same time; a value may then be calculated twice. Memory: one reference a pixel.
 */
public final class KnownValues implements Explained {

    /** When so many values were asked for, all together cost less than more of them one by one. */
    private static final int WORTH_ALL = 30;
    /** In a larger result the few values that a user writes cost less than all. */
    private static final int MOST_AT_ONCE = 1 << 12;

    private final Operation operation;
    private final Frame frame;
    private final Function<Pixel, Value> once;
    private int asked;
    private volatile Image whole;

    public KnownValues(Operation operation) {
        this.operation = operation;
        this.frame = operation.frame();
        this.once = once(this::worked, frame);
    }

    /** Returns the same values, each calculated once; of a place outside the frame it is asked each time what there is to say of it. */
    public static Function<Pixel, Value> once(Function<Pixel, Value> values, Frame frame) {
        Value[] known = new Value[frame.count()];
        return pixel -> {
            if (!frame.contains(pixel)) {
                return values.apply(pixel);
            }
            int at = frame.offset(pixel);
            if (known[at] == null) {
                known[at] = values.apply(pixel);
            }
            return known[at];
        };
    }

    /** Returns an operation whose values are calculated once each where it has as many as a user may write; the operation itself where it has more. */
    public static Explained of(Operation operation) {
        return operation.frame().count() <= MOST_AT_ONCE ? new KnownValues(operation) : operation;
    }

    @Override
    public Frame frame() {
        return frame;
    }

    @Override
    public Value exact(Pixel pixel) {
        return operation.exact(pixel);
    }

    @Override
    public Value value(Pixel pixel) {
        Image all = whole;
        return all != null && frame.contains(pixel) ? all.value(pixel) : once.apply(pixel);
    }

    private Value worked(Pixel pixel) {
        Value value = operation.value(pixel);
        if (frame.contains(pixel) && ++asked == WORTH_ALL && frame.count() <= MOST_AT_ONCE) {
            all();
        }
        return value;
    }

    private void all() {
        try {
            Image all = operation.result(Progress.NONE);
            whole = all.isExact() ? all : null;
        } catch (PixeronException withoutSomeValue) {
            // One by one then: some pixel has no value.
        }
    }

    @Override
    public Working explain(Pixel pixel) {
        return operation.explain(pixel);
    }

    @Override
    public void follow(Pixel pixel, LoopWriter out) {
        operation.follow(pixel, out);
    }
}
