package pixeron.step.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.ColourImage;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.look.PackedPixel;
import pixeron.number.Decimals;
import pixeron.step.Bound;
import pixeron.step.Operation;
import pixeron.working.Line;
import pixeron.working.Run;
import pixeron.working.Working;

/**
 * The whole calculation of a pixel with colour: taking the packed value apart, each channel's calculation, putting them
 * together again. Packed values are told where all channels are levels of 0 to 255.
 */
public final class PixelWorking {

    private PixelWorking() {
    }

    /**
     * @param bound a step on a colour image whose result has colour as well
     * @param after its result
     * @param pixel of the result
     * @return all lines, from the packed value before to the packed value after
     */
    public static List<Line> lines(Bound bound, ColourImage before, Result after, Pixel pixel) {
        Pixel from = after.faces().stream().flatMap(face -> bound.face(face.name()).stream())
                .findFirst().flatMap(found -> found.counterpart(pixel)).orElse(pixel);
        List<Line> lines = new ArrayList<>();
        if (before.frame().contains(from)) {
            Optional<PackedPixel> packed = PackedPixel.find(before, from);
            packed.ifPresentOrElse(value -> lines.addAll(value.lines()), () -> before.faces().forEach(face -> lines.add(
                    Line.of(face.name(), Run.before(Decimals.working(face.image().value(from)))))));
        }
        for (Result.Face face : after.faces()) {
            Optional<Operation> explained = bound.face(face.name());
            if (explained.isEmpty()) {
                lines.add(Line.of(face.name(), Run.after(Decimals.working(face.image().value(pixel))),
                        Run.note("   as it is")));
                continue;
            }
            Working working = explained.get().explain(pixel);
            lines.add(Line.of(face.name(), Run.note("becomes "), Run.after(Decimals.working(working.result()))));
            lines.addAll(working.lines());
        }
        PackedPixel.find(after, pixel).ifPresent(packed -> lines.addAll(packed.together()));
        return List.copyOf(lines);
    }
}
