package pixeron.step.frequency;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import pixeron.image.Pixel;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.loop.LoopProgram;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Inputs;
import pixeron.step.Profile;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.neighborhood.WindowText;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/** A coefficient times a factor. */
final class FilterFace extends FaceOperation {

    private final Spectrum spectrum;
    private final Filter filter;

    FilterFace(Step step, Inputs inputs, SpectrumFace face, Supplier<Spectrum> after, Filter filter) {
        super(step, () -> ((Spectrum) inputs.before()).face(face), inputs, face, after);
        this.spectrum = (Spectrum) inputs.before();
        this.filter = filter;
    }

    /** Returns what the face shows of another number in the place of the coefficient. */
    Value shown(double factor, Pixel pixel) {
        return spectrum.value(face(), factor * spectrum.real(pixel), factor * spectrum.imaginary(pixel));
    }

    /** Returns what is there before. */
    Spectrum spectrum() {
        return spectrum;
    }

    @Override
    public Optional<Profile> profile() {
        return ((FilterStep) step().type()).profile(step(), frame());
    }

    private Complex earlier(Pixel pixel) {
        return new Complex(spectrum.value(SpectrumFace.REAL, pixel), spectrum.value(SpectrumFace.IMAGINARY, pixel));
    }

    private Value factor(Pixel pixel) {
        return Approximate.snapped(filter.factor(spectrum.frequency(pixel)), 1);
    }

    @Override
    public Optional<LoopProgram> program() {
        return Optional.of(SpectrumProgram.times(step(), face(), frame().maximumLevel(), filter));
    }

    @Override
    List<Line> parts(Pixel result, Complex parts) {
        List<Line> lines = new ArrayList<>(filter.work(spectrum.frequency(result)));
        Complex earlier = earlier(result);
        Value factor = factor(result);
        lines.add(Line.of("before", Run.before("F(u, v) = " + earlier.text())));
        lines.add(part(SpectrumFace.REAL, factor, earlier.real(), parts.real()));
        lines.add(part(SpectrumFace.IMAGINARY, factor, earlier.imaginary(), parts.imaginary()));
        return lines;
    }

    /** All or nothing of a number leaves its digits as they are. */
    private Line part(SpectrumFace name, Value factor, Value earlier, Value part) {
        return arriving(name, Line.of(name.word(), Run.plain(Decimals.legible(factor) + " × " + WindowText.legible(earlier)
                + (factor.isWhole() ? " = " + Decimals.legible(part) : Decimals.arriving(part, factor, earlier)))), part);
    }

    @Override
    void loop(Pixel result, Complex parts, LoopWriter out) {
        filter.loop(spectrum.frequency(result), out);
        out.set("real", parts.real()).line(0, "real ← factor × real part of before[i][j]");
        out.set("imaginary", parts.imaginary()).line(0, "imaginary ← factor × imaginary part of before[i][j]");
    }

    @Override
    public List<Source> sources(Pixel result) {
        return List.of(Source.of(result, before().value(result)));
    }
}
