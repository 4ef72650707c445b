package pixeron.step.noise;

import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.loop.Helper;
import pixeron.number.Decimals;
import pixeron.number.Draws;
import pixeron.number.Rational;
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
 * {@code uniform-noise from=a to=b seed=1}: s = r + a + ⌊u(n) · (b − a + 1)⌋ with the offset n.
 *
 * <p>Domain: whole a ≤ b. Source: docs/definitions/noise.md.
 */
public final class UniformNoise extends NoiseStep {

    private static final NumberParameter FROM = NumberParameter.whole("from", "Smallest").sliding(Span.ofLevels(-1, 1));
    private static final NumberParameter TO = NumberParameter.whole("to", "Largest").sliding(Span.ofLevels(-1, 1));

    public UniformNoise() {
        super("uniform-noise", "Uniform noise", "Adds a random whole number from a range to each pixel; all numbers are equally likely.", FROM, TO);
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = r + from + ⌊u(n) × (to − from + 1)⌋";
    }

    @Override
    public void validate(Arguments arguments) {
        if (arguments.get(FROM).number().compareTo(arguments.get(TO).number()) > 0) {
            throw PixeronException.of("uniform-noise: from=%s is above to=%s. Smallest must be at most Largest.", arguments.get(FROM), arguments.get(TO));
        }
    }

    @Override
    public Step starter(int maximumLevel) {
        int reach = Math.max(1, maximumLevel / 16);
        return new Step(this, Arguments.NONE.with(FROM, Amount.of(-reach)).with(TO, Amount.of(reach)));
    }

    @Override
    Operation operation(Step step, Image before, Draws draws) {
        int from = step.arguments().get(FROM).number().toInt();
        long range = 1L + step.arguments().get(TO).number().toInt() - from;
        return new AddedNoise(step, before, new AddedNoise.Drawn() {
            @Override
            public Value at(int offset) {
                return Rational.of(from + draws.below(offset, range));
            }

            @Override
            public List<Line> work(int offset) {
                return List.of(Line.of("drawn", Run.plain("u(" + offset + ") ≈ " + AddedNoise.digits(draws.share(offset))), Run.note("   seed " + draws.seed())),
                        Line.of("", Run.plain("drawn = " + Decimals.working(from) + " + ⌊" + AddedNoise.digits(draws.share(offset)) + " × " + range + "⌋ = "
                                + Decimals.working(from) + " + " + draws.below(offset, range) + " = " + Decimals.working(at(offset)))));
            }

            @Override
            public Code code() {
                return Code.of(from).plus(Code.helped(Helper.DRAWN_BELOW, Code.of(draws.seed()), Code.name("n"), Code.of(range)));
            }

            @Override
            public String formula() {
                return "from + ⌊u(n) × (to − from + 1)⌋";
            }

            @Override
            public Optional<AddedNoise.Whole> whole() {
                return Optional.of(offset -> from + draws.below(offset, range));
            }
        });
    }
}
