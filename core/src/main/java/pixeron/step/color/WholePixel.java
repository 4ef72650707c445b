package pixeron.step.color;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.image.ColorImage;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.PackedPixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Bound;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;
import pixeron.working.Working;

/**
 * The whole calculation of a pixel with color: taking the packed value apart, each channel's calculation, putting them
 * together again. Its value is the packed value, A·2²⁴ + R·2¹⁶ + G·2⁸ + B, where all channels are levels of 0 to 255; elsewhere
 * it has none, and the working tells the channels alone.
 */
public final class WholePixel implements Explained {

    private final Bound bound;
    private final Result before;
    private final Result after;
    private final boolean isPacked;

    /**
     * Creates the working of all channels of a pixel.
     *
     * @param bound a step with color before it or behind it
     * @param after its result
     * @param isPacked whether loops take packed values apart with masks and shifts; else they name the channels
     */
    public WholePixel(Bound bound, Result before, Result after, boolean isPacked) {
        this.bound = bound;
        this.before = before;
        this.after = after;
        this.isPacked = isPacked;
    }

    @Override
    public Frame frame() {
        return after.frame();
    }

    @Override
    public Value exact(Pixel pixel) {
        return value(pixel);
    }

    /**
     * Returns the packed value of a pixel.
     *
     * @throws PixeronException if a channel has no level of 0 to 255
     */
    @Override
    public Value value(Pixel pixel) {
        return after instanceof Image image ? image.value(pixel) : packed(after, pixel).map(packed -> Rational.of(Integer.toUnsignedLong(packed.packed())))
                .orElseThrow(() -> PixeronException.of("%s has no packed value.", pixel));
    }

    @Override
    public Working explain(Pixel pixel) {
        List<Line> lines = lines(pixel);
        Value value = after instanceof Image || packed(after, pixel).isPresent() ? value(pixel) : after.faces().get(0).image().value(pixel);
        return new Working(bound.step().line() + ", " + pixel, lines, value, value);
    }

    private static Optional<PackedPixel> packed(Result result, Pixel pixel) {
        return PackedPixel.find(result, pixel);
    }

    private Pixel from(Pixel pixel) {
        return bound.faces().stream().flatMap(name -> bound.face(name).stream()).findFirst()
                .flatMap(found -> found.counterpart(pixel)).orElse(pixel);
    }

    /** Returns the pixels before of which channels are taken: where only some channels move, those that stay are taken of another one. */
    private List<Pixel> read(Pixel pixel) {
        boolean isSplit = !from(pixel).equals(pixel) && bound.faces().stream().anyMatch(this::stays);
        return Stream.of(from(pixel), pixel).limit(isSplit ? 2 : 1).filter(place -> before instanceof ColorImage && before.frame().contains(place)).toList();
    }

    private boolean stays(String face) {
        return bound.face(face).orElseThrow().step().type() instanceof AsItIs;
    }

    /** Returns all lines, from the packed value before to the packed value after. */
    public List<Line> lines(Pixel pixel) {
        List<Line> lines = new ArrayList<>();
        List<Pixel> read = read(pixel);
        for (Pixel from : read) {
            if (read.size() > 1) {
                lines.add(Line.of("before", Run.plain(from.toString())));
            }
            packed(before, from).ifPresentOrElse(value -> lines.addAll(value.apart()), () -> before.faces().forEach(face ->
                    lines.add(Line.of(face.name(), Run.before(Decimals.working(face.image().value(from)))))));
        }
        if (after instanceof Image) {
            lines.addAll(bound.face(Image.VALUE).orElseThrow().explain(pixel).lines());
            return lines;
        }
        for (String name : bound.faces()) {
            Operation operation = bound.face(name).orElseThrow();
            Working working = operation.explain(pixel);
            if (stays(name)) {
                Line line = working.lines().get(0);
                lines.add(line.label().equals(name) ? line : Line.of(name, line.runs().get(0), Run.note("   from " + line.label())));
                continue;
            }
            lines.add(Line.of(name, Run.note("becomes "), Run.after(Decimals.working(working.result()))));
            lines.addAll(working.lines());
        }
        packed(after, pixel).ifPresent(packed -> lines.addAll(packed.together()));
        return List.copyOf(lines);
    }

    @Override
    public void follow(Pixel pixel, LoopWriter out) {
        // The loop reads before[i][j] for channels that stay, also where others come from elsewhere.
        List<Pixel> read = read(pixel);
        new PixelLoop(bound, pixel, out).follow(isPacked && !read.isEmpty() ? packed(before, read.get(read.size() - 1)) : Optional.empty(),
                packed(after, pixel));
    }
}
