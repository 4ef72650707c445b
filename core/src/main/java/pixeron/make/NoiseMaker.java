package pixeron.make;

import java.util.stream.Stream;
import pixeron.image.Image;
import pixeron.number.Draws;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Progress;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;

/** Seeded noise: numbers of {@link Draws}, the same on every machine, as the steps that disturb an image draw them. */
abstract class NoiseMaker extends Maker {

    private static final NumberParameter SEED = NumberParameter.optional("seed", "Seed", 1)
            .only(Rational::isInt, "a whole number");

    NoiseMaker(String name, String title, String sentence, Parameter<?>... ownParameters) {
        super(name, title, sentence, Stream.concat(Stream.of(ownParameters), Stream.of(SEED))
                .toArray(Parameter[]::new));
    }

    /** The values of an image before rounding and overflow, asked for in reading order. */
    interface Source {
        Value next(int offset);
    }

    /**
     * Returns where the values come from.
     *
     * @param count number of pixels
     */
    abstract Source source(Arguments arguments, int count, int maximum, Draws draws);

    @Override
    public final Image make(Arguments arguments, Progress progress) {
        int rows = whole(arguments, ROWS);
        int columns = whole(arguments, COLUMNS);
        int maximum = whole(arguments, MAXIMUM);
        Value[] samples = new Value[Math.multiplyExact(rows, columns)];
        Source source = source(arguments, samples.length, maximum, new Draws(whole(arguments, SEED)));
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
