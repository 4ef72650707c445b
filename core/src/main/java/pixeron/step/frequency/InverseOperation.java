package pixeron.step.frequency;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import pixeron.image.Frequency;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.loop.Code;
import pixeron.loop.Ending;
import pixeron.loop.LoopProgram;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Inputs;
import pixeron.step.Progress;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepOperation;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Run;

/** An image put together of waves. A pixel is calculated as the waves that make it, the strongest first. */
final class InverseOperation extends StepOperation {

    /** More waves than these are summed up in one line. */
    private static final int MOST_WAVES = 12;
    /** Of larger spectra a loop is only written down. */
    private static final int MOST_LOOPED = 1 << 10;

    private final Spectrum spectrum;
    private double[] samples;
    private List<Pixel> strongest;

    InverseOperation(Step step, Inputs inputs, Spectrum spectrum) {
        super(step, () -> spectrum.face(SpectrumFace.REAL), spectrum.frame(), inputs);
        this.spectrum = spectrum;
    }

    private synchronized double[] samples(Progress progress) {
        if (samples == null) {
            samples = Transform.back(spectrum, progress);
        }
        return samples;
    }

    @Override
    public Optional<LoopProgram> program() {
        return Optional.of(SpectrumProgram.back(step(), frame().maximumLevel(), Ending.of(step().rounding(), step().overflow(), Code.name("M"))));
    }

    @Override
    protected Value calculate(Pixel result, Sight sight) {
        return Approximate.snapped(samples(Progress.NONE)[frame().offset(result)], spectrum.largest());
    }

    @Override
    public Image result(Progress progress) {
        double[] all = samples(progress);
        int columns = frame().columns();
        return finish().isToLevels() ? rowByRow(row -> Arrays.copyOfRange(all, row * columns, (row + 1) * columns), spectrum.largest(), progress) : oneByOne(progress);
    }

    @Override
    protected List<Line> work(Pixel result, Sight sight) {
        List<Line> lines = new ArrayList<>();
        lines.add(Line.of("formula", Run.plain(step().type().formula(step().arguments()))));
        Rational count = Rational.of(frame().count());
        Pixel middle = Spectrum.place(frame(), 0, 0);
        Value mean = Approximate.snapped(spectrum.real(middle) / frame().count(), spectrum.largest());
        lines.add(Line.of("mean", Run.plain(Decimals.legible(spectrum.value(SpectrumFace.REAL, middle)) + " ÷ " + count + Decimals.arriving(mean, spectrum.value(SpectrumFace.REAL, middle))),
                Run.note("   F(0, 0) ÷ (H × W)")));
        double running = mean.asDouble();
        for (Pixel place : strongest().subList(0, Math.min(MOST_WAVES, strongest().size()))) {
            double term = term(place, result);
            running += term;
            lines.add(wave(place, result, term, running));
        }
        Value sum = calculate(result, sight);
        double rest = sum.asDouble() - running;
        if (strongest().size() > MOST_WAVES) {
            lines.add(Line.of("", Run.plain("all weaker waves together add " + working(rest))));
        }
        lines.add(Line.of("this pixel", Run.plain("s = " + Decimals.working(sum))));
        return lines;
    }

    /** Found once for all pixels: it takes a pass over all coefficients. */
    private synchronized List<Pixel> strongest() {
        if (strongest == null) {
            strongest = Peaks.of(spectrum);
        }
        return strongest;
    }

    private boolean isAlone(Pixel place) {
        return Spectrum.mate(frame(), place).equals(place);
    }

    /** What a coefficient and its conjugate add together. */
    private double term(Pixel place, Pixel at) {
        Turn turn = turn(place, at);
        double part = spectrum.real(place) * turn.cosine().asDouble() - spectrum.imaginary(place) * turn.sine().asDouble();
        return (isAlone(place) ? 1 : 2) * part / frame().count();
    }

    private Turn turn(Pixel place, Pixel at) {
        return Turn.of(frame(), spectrum.frequency(place), at.row(), at.column());
    }

    private Line wave(Pixel place, Pixel at, double term, double running) {
        Frequency frequency = spectrum.frequency(place);
        Value phase = spectrum.value(SpectrumFace.PHASE, place);
        String angle = Decimals.working(turn(place, at).degrees()) + "° " + (phase.signum() < 0 ? "\u2212 " : "+ ") + Decimals.legible(phase.absolute()) + "°";
        String both = isAlone(place) ? "" : "2 × ";
        return Line.of(frequency.toString(), Run.plain(both + Decimals.legible(spectrum.value(SpectrumFace.MAGNITUDE, place)) + " ÷ " + frame().count() + " × cos("
                + angle + ")" + Decimals.arriving(Approximate.snapped(term, spectrum.largest()), spectrum.value(SpectrumFace.MAGNITUDE, place), phase)), Run.note("   sum " + working(running)));
    }

    private String working(double number) {
        return Decimals.legible(Approximate.snapped(number, spectrum.largest()));
    }

    @Override
    protected void loop(Pixel result, Sight sight, LoopWriter out) {
        String head = "for each u and v of before:";
        String angle = "a ← u × i ÷ H + v × j ÷ W of a turn";
        String add = "s ← s + real(u, v) × cos a \u2212 imaginary(u, v) × sin a";
        out.set("s", "0").line(0, "s ← 0");
        double sum = 0;
        for (int n = 0; n < frame().count() && frame().count() <= MOST_LOOPED; n++) {
            Pixel place = frame().pixel(n);
            Frequency at = spectrum.frequency(place);
            Turn turn = turn(place, result);
            sum += spectrum.real(place) * turn.cosine().asDouble() - spectrum.imaginary(place) * turn.sine().asDouble();
            out.set("u", Decimals.working(at.u())).set("v", Decimals.working(at.v())).line(0, head);
            out.set("a", turn.text()).line(1, angle);
            out.set("s", working(sum)).line(1, add);
        }
        out.mention(0, head).mention(1, angle).mention(1, add);
        out.set("s", calculate(result, sight)).line(0, "s ← s ÷ (H × W)");
    }

    @Override
    public List<Source> sources(Pixel result) {
        return Source.all(before());
    }

    @Override
    public boolean isSpread() {
        return true;
    }
}
