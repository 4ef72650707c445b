package pixeron.make;

import pixeron.number.Approximate;
import pixeron.number.Draws;
import pixeron.number.Value;
import pixeron.step.Source;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;

/** Values around a mean with a standard deviation, normally distributed. */
final class GaussianNoise extends NoiseMaker {

    private static final NumberParameter MEAN = NumberParameter.level("mean", "Mean", Amount.of(128));
    private static final NumberParameter DEVIATION = NumberParameter.level("deviation", "Deviation", Amount.of(20))
            .only(n -> n.signum() >= 0, "a number of 0 or more, or M");

    GaussianNoise() {
        super("gaussian-noise", "Gaussian noise", "Random values from a normal distribution around a mean.",
                MEAN, DEVIATION);
    }

    @Override
    Source source(Arguments arguments, int count, int maximum, Draws draws) {
        Value mean = arguments.get(MEAN).resolve(maximum);
        Value deviation = arguments.get(DEVIATION).resolve(maximum);
        return offset -> mean.plus(deviation.times(Approximate.from(draws.normal(offset))));
    }
}
