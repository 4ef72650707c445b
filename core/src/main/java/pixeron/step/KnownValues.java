package pixeron.step;

import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.working.LoopWriter;
import pixeron.working.Working;

/** An operation whose values are worked out once each, for when many sheets are held against the same result. */
public final class KnownValues implements Explained {

    private final Operation operation;
    private final Frame frame;
    private final Value[] values;

    public KnownValues(Operation operation) {
        this.operation = operation;
        this.frame = operation.frame();
        this.values = new Value[frame.count()];
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
        int at = frame.offset(pixel);
        if (values[at] == null) {
            values[at] = operation.value(pixel);
        }
        return values[at];
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
