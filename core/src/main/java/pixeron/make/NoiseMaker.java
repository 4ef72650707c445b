package pixeron.make;

import java.util.Random;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Amount;
import pixeron.step.Arguments;
import pixeron.step.NumberParameter;

/**
 * Seeded noise. The generator is {@link Random}, the JDK's 48-bit linear congruential generator, whose sequence for a
 * seed is specified: the same numbers on every machine and in every version.
 */
final class NoiseMaker extends Maker {

    private static final NumberParameter SEED = NumberParameter.optional("seed", "Seed", 1)
            .only(n -> n.isInt() && n.signum() >= 0, "a whole number from 0");
    private static final NumberParameter LOW = NumberParameter.level("low", "Low", Amount.of(0))
            .only(Rational::isInt, "a whole number or M");
    private static final NumberParameter HIGH = NumberParameter.level("high", "High", Amount.MAXIMUM)
            .only(Rational::isInt, "a whole number or M");

    private NoiseMaker() {
        super("uniform-noise", "Uniform noise", "Every level from low to high comes up equally often, by chance.",
                LOW, HIGH, SEED);
    }

    static Maker uniform() {
        return new NoiseMaker();
    }

    @Override
    public Image make(Arguments arguments) {
        int maximum = whole(arguments, MAXIMUM);
        int low = arguments.get(LOW).resolve(maximum).toInt();
        int high = arguments.get(HIGH).resolve(maximum).toInt();
        if (low < 0 || high > maximum || low > high) {
            throw PixeronException.of("low=%d and high=%d must be in order and within 0 to %d.", low, high, maximum);
        }
        Random random = new Random(whole(arguments, SEED));
        return Image.ofLevels(whole(arguments, ROWS), whole(arguments, COLUMNS), maximum,
                n -> low + random.nextInt(high - low + 1));
    }
}
