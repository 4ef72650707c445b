package pixeron.step.noise;

import java.util.List;
import pixeron.formula.Function;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.loop.Helper;
import pixeron.number.Approximate;
import pixeron.number.Decimals;
import pixeron.number.Draws;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.working.Line;
import pixeron.working.Run;

/**
 * {@code gaussian-noise deviation=σ mean=0 seed=1}: s = r + mean + σ · √(−2 · ln(1 − u(2n))) · cos(2π · u(2n + 1)) with the
 * offset n.
 *
 * <p>Domain: σ ≥ 0. Doubles, for all but σ = 0. Source: docs/definitions/noise.md.
 */
public final class GaussianNoise extends NoiseStep {

    private static final NumberParameter DEVIATION = NumberParameter.required("deviation", "Deviation").sliding(Span.ofLevels(0, 1)).only(n -> n.signum() >= 0, "a number of 0 or more");
    private static final NumberParameter MEAN = NumberParameter.optional("mean", "Mean", 0).sliding(Span.ofLevels(-1, 1));

    public GaussianNoise() {
        super("gaussian-noise", "Gaussian noise", "Adds a random number from a normal distribution to each pixel.", DEVIATION, MEAN);
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = r + mean + deviation × √(−2 × ln(1 − u(2n))) × cos(2π × u(2n + 1))";
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(DEVIATION, Amount.of(Math.max(1, maximumLevel / 16))));
    }

    @Override
    Operation operation(Step step, Image before, Draws draws) {
        Value deviation = step.arguments().get(DEVIATION).number();
        Value mean = step.arguments().get(MEAN).number();
        return new AddedNoise(step, before, new AddedNoise.Drawn() {
            @Override
            public Value at(int offset) {
                return deviation.signum() == 0 ? mean : mean.plus(deviation.times(Approximate.from(draws.normal(offset))));
            }

            @Override
            public List<Line> work(int offset) {
                long first = 2L * offset;
                String normal = AddedNoise.digits(Approximate.from(draws.normal(offset)));
                return List.of(Line.of("drawn", Run.plain("u(" + first + ") ≈ " + AddedNoise.digits(draws.share(first)) + ", u(" + (first + 1) + ") ≈ "
                        + AddedNoise.digits(draws.share(first + 1))), Run.note("   seed " + draws.seed())),
                        Line.of("normal", Run.plain("√(−2 × ln(1 − u(" + first + "))) × cos(2π × u(" + (first + 1) + ")) ≈ "
                                + normal)),
                        Line.of("", Run.plain("drawn = " + Decimals.working(mean) + " + " + Decimals.working(deviation) + " × "
                                + normal + " ≈ " + Decimals.approximate(at(offset)))));
            }

            @Override
            public Code code() {
                if (deviation.signum() == 0) {
                    return Code.of(mean);
                }
                Code twice = Code.of(2).times(Code.name("n"));
                Code angle = Code.of(Approximate.from(2 * Math.PI)).times(share(twice.plus(Code.of(1))));
                Code log = new Code.Call(Function.LN, List.of(Code.of(1).minus(share(twice))));
                Code normal = new Code.Call(Function.SQRT, List.of(Code.of(-2).times(log))).times(new Code.Call(Function.COS, List.of(angle)));
                return Code.of(mean).plus(Code.of(deviation).times(normal));
            }

            private Code share(Code n) {
                return Code.helped(Helper.DRAWN_SHARE, Code.of(draws.seed()), n);
            }

            @Override
            public String formula() {
                return "mean + deviation × √(−2 × ln(1 − u(2n))) × cos(2π × u(2n + 1))";
            }
        });
    }
}
