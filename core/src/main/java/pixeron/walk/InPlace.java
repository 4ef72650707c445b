package pixeron.walk;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.working.LoopWriter;
import pixeron.working.Working;

/**
 * What becomes of a step whose result is written into the image that is being read: every window after the first reads
 * values that were written already. It is a mistake; this shows where it leads.
 *
 * <p>Cost: one calculation for each pixel, one after the other.
 */
public final class InPlace implements Mistake {

    private static final int REPORT_EVERY = 1 << 10;

    private final Operation operation;
    private final Visits visits;
    private final Image image;

    private InPlace(Operation operation, Visits visits, Image image) {
        this.operation = operation;
        this.visits = visits;
        this.image = image;
    }

    /**
     * Returns the mistake; empty for a step that reads no pixel but its own, or whose result has another size.
     *
     * @param visits in which order the pixels are written
     * @param progress receives the progress
     */
    public static Optional<InPlace> of(Operation operation, Visits visits, Progress progress) {
        Image before = operation.before();
        if (operation.reading(before::value).isEmpty()) {
            return Optional.empty();
        }
        Value[] values = new Value[before.count()];
        for (int n = 0; n < values.length; n++) {
            values[n] = before.value(n);
        }
        Explained reading = operation.reading(pixel -> values[before.offset(pixel)]).orElseThrow();
        for (int place = 0; place < visits.count(); place++) {
            Pixel pixel = visits.pixel(place);
            values[before.offset(pixel)] = reading.value(pixel);
            if (place % REPORT_EVERY == 0) {
                progress.report((double) place / visits.count());
            }
        }
        return Optional.of(new InPlace(operation, visits,
                Image.from(before.rows(), before.columns(), before.maximumLevel(), values)));
    }

    @Override
    public Kind kind() {
        return Kind.IN_PLACE;
    }

    @Override
    public Image image() {
        return image;
    }

    @Override
    public boolean isWritten(Pixel pixel) {
        return true;
    }

    @Override
    public List<String> heads(Visits order) {
        return order.heads();
    }

    /** What was in the image when a pixel's turn came: written before it, or not yet. */
    private Explained at(Pixel pixel) {
        int now = visits.place(pixel);
        Function<Pixel, Value> read = other -> visits.place(other) < now ? image.value(other)
                : operation.before().value(other);
        return operation.reading(read).orElseThrow();
    }

    @Override
    public Frame frame() {
        return operation.frame();
    }

    @Override
    public Value exact(Pixel pixel) {
        return at(pixel).exact(pixel);
    }

    @Override
    public Value value(Pixel pixel) {
        return image.value(pixel);
    }

    @Override
    public Working explain(Pixel pixel) {
        return at(pixel).explain(pixel);
    }

    @Override
    public void follow(Pixel pixel, LoopWriter out) {
        at(pixel).follow(pixel, out);
    }
}
