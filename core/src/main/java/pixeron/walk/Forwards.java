package pixeron.walk;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Forward;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;
import pixeron.working.Working;

/**
 * What becomes of a step between pixels when its loop goes through the image before and writes each value to the nearest place of
 * the result: where nothing is written there are holes, which keep 0.
 *
 * <p>Cost: one place for each pixel of the image before. Memory: four bytes for each pixel of the result.
 */
public final class Forwards implements Mistake {

    private static final int REPORT_EVERY = 1 << 10;
    private static final int NONE = -1;

    private final Operation operation;
    private final Forward forward;
    private final Image image;
    /** Which pixel of the image before was written last to each place. */
    private final int[] writers;

    private Forwards(Operation operation, Forward forward, Image image, int... writers) {
        this.operation = operation;
        this.forward = forward;
        this.image = image;
        this.writers = writers;
    }

    /** Returns the mistake; empty for a step whose result has a whole place for every pixel. */
    static Optional<Forwards> of(Operation operation, Progress progress) {
        return operation.forward().map(forward -> of(operation, forward, progress));
    }

    private static Forwards of(Operation operation, Forward forward, Progress progress) {
        Image before = operation.before();
        Frame frame = operation.frame();
        Value[] values = new Value[frame.count()];
        Arrays.fill(values, Rational.ZERO);
        int[] writers = new int[values.length];
        Arrays.fill(writers, NONE);
        for (int n = 0; n < before.count(); n++) {
            Pixel there = forward.put(before.pixel(n));
            if (frame.contains(there)) {
                int offset = there.row() * frame.columns() + there.column();
                values[offset] = before.value(n);
                writers[offset] = n;
            }
            if (n % REPORT_EVERY == 0) {
                progress.report((double) n / before.count());
            }
        }
        return new Forwards(operation, forward, Image.from(frame.rows(), frame.columns(), frame.maximumLevel(), values), writers);
    }

    @Override
    public Kind kind() {
        return Kind.FORWARDS;
    }

    @Override
    public Image image() {
        return image;
    }

    @Override
    public boolean isWritten(Pixel pixel) {
        return writers[image.offset(pixel)] != NONE;
    }

    /** Returns how many places of the result nothing is written to. */
    public int holes() {
        return (int) Arrays.stream(writers).filter(writer -> writer == NONE).count();
    }

    @Override
    public List<String> heads(Visits visits) {
        return List.of("for each row y of the input image, from 0 to " + (operation.before().rows() - 1),
                "for each column x from 0 to " + (operation.before().columns() - 1));
    }

    @Override
    public Frame frame() {
        return operation.frame();
    }

    @Override
    public Value exact(Pixel pixel) {
        return image.value(pixel);
    }

    @Override
    public Value value(Pixel pixel) {
        return image.value(pixel);
    }

    @Override
    public Working explain(Pixel pixel) {
        String title = operation.step().line() + ", written forward, " + pixel;
        if (!isWritten(pixel)) {
            return new Working(title, List.of(Line.of("hole", Run.plain("no (y, x) is mapped to (" + pixel.row() + ", " + pixel.column()
                    + "), so it stays 0"))), Rational.ZERO, Rational.ZERO);
        }
        Pixel from = writer(pixel);
        List<Line> lines = new ArrayList<>(forward.work(from));
        lines.add(Line.of("this pixel", Run.plain("s = r(" + from.row() + ", " + from.column() + ") = "), Run.before(Decimals.working(value(pixel)))));
        return new Working(title, lines, value(pixel), value(pixel));
    }

    private Pixel writer(Pixel pixel) {
        return operation.before().pixel(writers[image.offset(pixel)]);
    }

    @Override
    public void follow(Pixel pixel, LoopWriter out) {
        List<String> formulas = forward.formulas();
        String written = "after[i][j] ← before[y][x]";
        if (!isWritten(pixel)) {
            formulas.forEach(formula -> out.mention(0, formula));
            out.mention(0, written).set("after[" + pixel.row() + "][" + pixel.column() + "]", Rational.ZERO).line(0, "a position that is never written stays 0");
            return;
        }
        Pixel from = writer(pixel);
        out.set("y", Rational.of(from.row())).set("x", Rational.of(from.column())).line(0, formulas.get(0));
        out.line(0, formulas.get(1)).set("after[i][j]", value(pixel)).line(0, written).mention(0, "a position that is never written stays 0");
    }
}
