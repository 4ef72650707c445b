package pixeron.step.frequency;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Inputs;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.StepOperation;
import pixeron.step.Wave;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/** One face of a spectrum that a step makes. How its real and imaginary parts come about the step says; how the face is made of them is the same for all. */
abstract class FaceOperation extends StepOperation {

    private final SpectrumFace face;
    private final Supplier<Spectrum> after;

    /**
     * @param before what is seen of what the step is applied to
     * @param inputs what it is applied to, and the face in question
     * @param after gives the result
     */
    FaceOperation(Step step, Supplier<Image> before, Inputs inputs, SpectrumFace face, Supplier<Spectrum> after) {
        super(step, before, inputs.before().frame(), inputs.asking(face.word()));
        this.face = face;
        this.after = after;
    }

    final SpectrumFace face() {
        return face;
    }

    final Spectrum after() {
        return after.get();
    }

    @Override
    protected final Value calculate(Pixel result, Sight sight) {
        return after().value(face, result);
    }

    @Override
    public final Image result(Progress progress) {
        return after().face(face);
    }

    @Override
    public final Optional<Wave> wave(Pixel pixel) {
        return Optional.of(Peaks.wave(after(), pixel));
    }

    final Complex parts(Pixel pixel) {
        return new Complex(after().value(SpectrumFace.REAL, pixel), after().value(SpectrumFace.IMAGINARY, pixel));
    }

    /** Returns the lines that lead to both parts. */
    abstract List<Line> parts(Pixel result, Complex parts);

    /** Goes through the loop that leads to both parts, which are called real and imaginary. */
    abstract void loop(Pixel result, Complex parts, LoopWriter out);

    @Override
    protected final List<Line> work(Pixel result, Sight sight) {
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of("formula", Run.plain(step().type().formula(step().arguments()))));
        int rows = frame().rows() / 2;
        int columns = frame().columns() / 2;
        lines.add(Line.of("u", Run.plain(result.row() + " \u2212 " + rows + " = " + Decimals.working(result.row() - rows)),
                Run.note("   row \u2212 \u230AH ÷ 2\u230B")));
        lines.add(Line.of("v", Run.plain(result.column() + " \u2212 " + columns + " = " + Decimals.working(result.column() - columns)),
                Run.note("   column \u2212 \u230AW ÷ 2\u230B")));
        lines.addAll(parts(result, parts(result)));
        return lines;
    }

    /** Returns the line of a part, at which its number arrives; that of the face itself arrives at the end. */
    final Line arriving(SpectrumFace part, Line line, Value value) {
        return part == face ? line : line.arriving(part.word(), value);
    }

    /** A coefficient is neither rounded nor clipped; what its face shows is the last line. */
    @Override
    protected final List<Line> ending(Pixel result, Value exact, Finish finish) {
        Complex parts = parts(result);
        String re = WindowText.legible(parts.real());
        String im = WindowText.legible(parts.imaginary());
        Run value = Run.after(Decimals.working(exact));
        String root = "\u221A(" + re + "^2 + " + im + "^2)";
        if (face == SpectrumFace.REAL || face == SpectrumFace.IMAGINARY) {
            return List.of(Line.of(face.word(), value, Run.note("   of " + parts.text())).arriving(face.word(), exact));
        } else if (face == SpectrumFace.MAGNITUDE) {
            return List.of(Line.of(face.word(), Run.plain(root + Decimals.equality(exact, parts.real(), parts.imaginary())), value).arriving(face.word(), exact));
        }
        Value magnitude = after().value(SpectrumFace.MAGNITUDE, result);
        Line first = Line.of("magnitude", Run.plain(root + Decimals.arriving(magnitude, parts.real(), parts.imaginary()))).arriving("magnitude", magnitude);
        if (face == SpectrumFace.LOG) {
            return List.of(first, Line.of(face.word(), Run.plain("ln(1 + " + Decimals.legible(magnitude) + ")" + Decimals.equality(exact, magnitude)), value).arriving(face.word(), exact));
        }
        return after().isNothing(magnitude.asDouble()) ? List.of(first, Line.of(face.word(), value, Run.note("   magnitude 0, so there is no phase")).arriving(face.word(), exact))
                : List.of(Line.of(face.word(), Run.plain("atan2(" + Decimals.legible(parts.imaginary()) + ", " + Decimals.legible(parts.real()) + ")" + Decimals.equality(exact, parts.real(), parts.imaginary())), value,
                        Run.note("   degrees")).arriving(face.word(), exact));
    }

    @Override
    protected final void loop(Pixel result, Sight sight, LoopWriter out) {
        Complex parts = parts(result);
        out.set("u", Decimals.working(after().frequency(result).u())).line(0, "u ← i \u2212 \u230AH ÷ 2\u230B");
        out.set("v", Decimals.working(after().frequency(result).v())).line(0, "v ← j \u2212 \u230AW ÷ 2\u230B");
        loop(result, parts, out);
        out.set("s", after().value(face, result)).line(0, switch (face) {
            case REAL -> "s ← real";
            case IMAGINARY -> "s ← imaginary";
            case MAGNITUDE -> "s ← \u221A(real^2 + imaginary^2)";
            case PHASE -> "s ← atan2(imaginary, real) in degrees, 0 if the magnitude is 0";
            case LOG -> "s ← ln(1 + \u221A(real^2 + imaginary^2))";
        });
    }
}
