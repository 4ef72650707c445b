package pixeron.make;

import java.util.Random;
import java.util.stream.Stream;
import pixeron.image.Image;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Progress;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;

/**
 * Seeded noise. The generator is {@link Random}, the JDK's 48-bit linear congruential generator, whose sequence for a
 * seed is specified: the same numbers on every machine and in every version.
 */
abstract class NoiseMaker extends Maker {

    private static final NumberParameter SEED = NumberParameter.optional("seed", "Seed", 1)
            .only(n -> n.isInt() && n.signum() >= 0, "a whole number from 0");

    NoiseMaker(String name, String title, String sentence, Parameter<?>... ownParameters) {
        super(name, title, sentence, Stream.concat(Stream.of(ownParameters), Stream.of(SEED))
                .toArray(Parameter[]::new));
    }

    /** The values of an image before rounding and overflow, asked for in reading order. */
    interface Source {
        Value next(int offset);
    }

    /**
     * @param count number of pixels
     * @return where the values come from
     */
    abstract Source source(Arguments arguments, int count, int maximum, Random random);

    @Override
    public final Image make(Arguments arguments, Progress progress) {
        int rows = whole(arguments, ROWS);
        int columns = whole(arguments, COLUMNS);
        int maximum = whole(arguments, MAXIMUM);
        Value[] samples = new Value[Math.multiplyExact(rows, columns)];
        Source source = source(arguments, samples.length, maximum, new Random(whole(arguments, SEED)));
        Finish finish = finish(arguments, maximum);
        for (int n = 0; n < samples.length; n++) {
            if (n % columns == 0) {
                progress.report((double) n / samples.length);
            }
            samples[n] = finish.apply(source.next(n));
        }
        return Image.from(rows, columns, maximum, samples);
    }
}
