package pixeron.step.frequency;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import pixeron.image.Frame;
import pixeron.image.Frequency;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.number.Approximate;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Bound;
import pixeron.step.Common;
import pixeron.step.Finish;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.WholeType;
import pixeron.step.key.Arguments;
import pixeron.step.key.Parameter;

/**
 * {@code fourier-inverse}: r(i, j) = 1 ÷ (H · W) · Σ over u and v of F(u, v) · e^(+2πi · (u · i ÷ H + v · j ÷ W)), its real part: the waves put
 * together to an image again.
 *
 * <p>Domain: a spectrum. Doubles; one near to a multiple of ½, against the image of the spectrum, is that. Cost: see {@link Transform}.
 * Source: docs/definitions/frequency.md.
 */
public final class FourierInverse extends NamedStep implements WholeType {

    private static final int MOST_DECIMALS = 3;
    /** Larger spectra nobody sums up by hand. */
    private static final int MOST_BY_HAND = 1 << 10;

    public FourierInverse() {
        super("fourier-inverse", "Inverse Fourier transform", "Adds the waves of a spectrum to form an image again.");
    }

    @Override
    public String formula(Arguments arguments) {
        return "s(i, j) = 1 ÷ (H × W) × Σ (real × cos a \u2212 imaginary × sin a),  a = u × i ÷ H + v × j ÷ W of a turn";
    }

    @Override
    public String shortFormula(Arguments arguments) {
        return "F(u, v) \u2192 r(i, j)";
    }

    @Override
    public Set<Common> common() {
        return Set.of(Common.ROUNDING, Common.OVERFLOW);
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of();
    }

    @Override
    public boolean takes(Result before) {
        return before instanceof Spectrum;
    }

    @Override
    public Bound whole(Step step, Inputs inputs) {
        return new InverseOperation(step, inputs, inputs.spectrum(this));
    }

    @Override
    public List<Slip> slips() {
        return List.of(Slip.of("not-divided", FourierInverse::notDivided), Slip.of("sign-of-angle", right -> List.of(Way.of(
                "the angle has the wrong sign: \u2212 instead of +", pixel -> right.value(mirrored(right, pixel))))), Slip.of("degrees-for-radians", FourierInverse::otherUnit),
                Slip.of("rounded-early", FourierInverse::rounded));
    }

    private static Pixel mirrored(Operation right, Pixel pixel) {
        return new Pixel(Math.floorMod(-pixel.row(), right.frame().rows()), Math.floorMod(-pixel.column(), right.frame().columns()));
    }

    private static List<Way> notDivided(Operation right) {
        Rational count = Rational.of(right.frame().count());
        Finish kept = right.finish().with(Overflow.KEEP);
        List<Way> ways = new ArrayList<>();
        ways.add(Way.of("the sum is not divided by H × W", pixel -> right.finish().apply(times(right, pixel, count))));
        if (right.finish().overflow() != Overflow.KEEP) {
            ways.add(Way.of("the sum is not divided by H × W, and not clipped", pixel -> kept.apply(times(right, pixel, count))));
        }
        return count.equals(Rational.ONE) ? List.of() : ways;
    }

    private static Value times(Operation right, Pixel pixel, Rational factor) {
        Value exact = right.exact(pixel);
        return exact instanceof Rational rational ? rational.times(factor) : Approximate.from(exact.asDouble() * factor.asDouble());
    }

    private static List<Way> otherUnit(Operation right) {
        Spectrum spectrum = (Spectrum) right.inputs().before();
        return spectrum.frame().count() > MOST_BY_HAND ? List.of() : Arrays.stream(OtherUnit.values()).map(unit -> Way.of(unit.words(), pixel ->
                right.finish().apply(Approximate.snapped(sum(spectrum, pixel, unit) / spectrum.frame().count(), spectrum.largest())))).toList();
    }

    private static double sum(Spectrum spectrum, Pixel at, OtherUnit unit) {
        Frame frame = spectrum.frame();
        double sum = 0;
        for (int n = 0; n < frame.count(); n++) {
            Frequency frequency = spectrum.frequency(frame.pixel(n));
            double angle = unit.angle((double) frequency.u() * at.row() / frame.rows() + (double) frequency.v() * at.column() / frame.columns());
            sum += spectrum.real(frame.pixel(n)) * Math.cos(angle) - spectrum.imaginary(frame.pixel(n)) * Math.sin(angle);
        }
        return sum;
    }

    private static List<Way> rounded(Operation right) {
        List<Way> ways = new ArrayList<>();
        Rational share = Rational.of(1, right.frame().count());
        for (int decimals = 0; decimals <= MOST_DECIMALS; decimals++) {
            Rational early = share.toDecimals(decimals);
            if (!early.equals(share)) {
                Rational factor = early.dividedBy(share);
                ways.add(Way.of("1 ÷ (H × W) is rounded to " + early + " before it is multiplied with", pixel -> right.finish().apply(times(right, pixel, factor))));
            }
        }
        return ways;
    }
}
