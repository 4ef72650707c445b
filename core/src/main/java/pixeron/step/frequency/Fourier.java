package pixeron.step.frequency;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.image.Spectrum;
import pixeron.image.SpectrumFace;
import pixeron.number.Approximate;
import pixeron.step.Bound;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.WholeType;
import pixeron.step.key.Arguments;
import pixeron.step.key.Parameter;
import pixeron.working.TableKind;

/**
 * {@code fourier}: F(u, v) = Σ over i and j of r(i, j) · e^(−2πi · (u · i ÷ H + v · j ÷ W)), how strong each wave is in the image and
 * where it begins.
 *
 * <p>Domain: any image. Doubles; exact where both sides are 1, 2 or 4. Cost: see {@link Transform}. Source: docs/definitions/frequency.md.
 */
public final class Fourier extends NamedStep implements WholeType {

    static final TableKind PEAKS = TableKind.of("peaks", "Peaks").with(Map.of("period-rows", "period, rows", "period-columns", "period, columns",
            "angle", "angle °"));

    /** Larger images nobody sums up by hand, and what a slip would give there is not calculated. */
    private static final int MOST_BY_HAND = 1 << 12;

    public Fourier() {
        super("fourier", "Fourier transform", "Decomposes the image into waves, each with a magnitude and a phase.");
    }

    @Override
    public String formula(Arguments arguments) {
        return "real = Σ r(i, j) × cos a,  imaginary = \u2212Σ r(i, j) × sin a,  a = u × i ÷ H + v × j ÷ W of a turn";
    }

    @Override
    public String shortFormula(Arguments arguments) {
        return "r(i, j) \u2192 F(u, v)";
    }

    @Override
    public Set<Common> common() {
        return Common.NONE;
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of();
    }

    @Override
    public List<TableKind> tables() {
        return List.of(PEAKS);
    }

    @Override
    public boolean takes(Result before) {
        return before instanceof Image;
    }

    @Override
    public Bound whole(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        return new SpectrumOperation(step, inputs, progress -> Transform.of(before, progress), (face, after) ->
                new FourierFace(step, inputs, face, after));
    }

    /** Where no face is asked for, that of the real parts. */
    @Override
    public Operation bind(Step step, Inputs inputs) {
        return WholeType.super.bind(step, inputs.face().equals(Image.VALUE) ? inputs.asking(SpectrumFace.REAL.word()) : inputs);
    }

    @Override
    public List<Slip> slips() {
        return List.of(SpectrumSlips.NOT_CENTERED, Slip.of("sign-of-angle", right -> List.of(Way.of("the angle has the wrong sign: + instead of \u2212",
                pixel -> right.value(Spectrum.mate(right.frame(), pixel))))), Slip.of("one-direction-only", Fourier::oneDirection),
                Slip.of("degrees-for-radians", Fourier::otherUnit));
    }

    private static List<Way> oneDirection(Operation right) {
        Image image = right.before();
        if (image.count() > MOST_BY_HAND) {
            return List.of();
        }
        return List.of(ofParts("only the rows are transformed, not the columns", right, pixel ->
                        Sum.rows(image, Spectrum.frequency(right.frame(), pixel)).get(pixel.row())),
                ofParts("only the columns are transformed, not the rows", right, pixel ->
                        Sum.columns(image, Spectrum.frequency(right.frame(), pixel)).get(pixel.column())));
    }

    private static List<Way> otherUnit(Operation right) {
        Image image = right.before();
        if (image.count() > MOST_BY_HAND) {
            return List.of();
        }
        List<Way> ways = new ArrayList<>(Arrays.stream(OtherUnit.values()).map(unit -> ofParts(unit.words(), right, pixel -> turned(image, pixel, unit))).toList());
        if (((FourierFace) right).face() == SpectrumFace.PHASE) {
            ways.add(Way.of("the phase is left in radians", pixel -> Approximate.snapped(Math.toRadians(right.value(pixel).asDouble()), 1)));
        }
        return ways;
    }

    private static Way ofParts(String words, Operation right, Function<Pixel, Complex> parts) {
        FourierFace operation = (FourierFace) right;
        return Way.of(words, pixel -> {
            Complex sum = parts.apply(pixel);
            return operation.after().value(operation.face(), sum.real().asDouble(), sum.imaginary().asDouble());
        });
    }

    private static Complex turned(Image image, Pixel at, OtherUnit unit) {
        double real = 0;
        double imaginary = 0;
        double u = Spectrum.frequency(image.frame(), at).u() / (double) image.rows();
        double v = Spectrum.frequency(image.frame(), at).v() / (double) image.columns();
        for (int n = 0; n < image.count(); n++) {
            double angle = unit.angle(u * (n / image.columns()) + v * (n % image.columns()));
            real += image.asDouble(n) * Math.cos(angle);
            imaginary -= image.asDouble(n) * Math.sin(angle);
        }
        return new Complex(Approximate.from(real), Approximate.from(imaginary));
    }
}
