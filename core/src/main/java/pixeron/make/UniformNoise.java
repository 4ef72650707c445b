package pixeron.make;

import pixeron.PixeronException;
import pixeron.number.Draws;
import pixeron.number.Rational;
import pixeron.step.Source;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;

/** Every whole number from low to high comes up equally often. */
final class UniformNoise extends NoiseMaker {

    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0))
            .only(Rational::isInt, "a whole number or M");
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM)
            .only(Rational::isInt, "a whole number or M");

    UniformNoise() {
        super("uniform-noise", "Uniform noise", "Random levels from low to high, all equally likely.",
                LOW, HIGH);
    }

    @Override
    Source source(Arguments arguments, int count, int maximum, Draws draws) {
        int low = arguments.get(LOW).resolve(maximum).toInt();
        long span = 1L + arguments.get(HIGH).resolve(maximum).toInt() - low;
        if (span < 1 || span > Integer.MAX_VALUE) {
            throw PixeronException.of("low=%s must be at most high=%s.", arguments.get(LOW), arguments.get(HIGH));
        }
        return offset -> Rational.of(low + draws.below(offset, span));
    }
}
