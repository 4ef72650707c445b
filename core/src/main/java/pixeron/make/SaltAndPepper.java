package pixeron.make;

import java.util.HashMap;
import java.util.Map;
import pixeron.PixeronException;
import pixeron.number.Draws;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Source;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;

/** A flat ground with a number of pixels, all different, that are randomly black or white. */
final class SaltAndPepper extends NoiseMaker {

    private static final NumberParameter GROUND = NumberParameter.level("ground", "Background", Amount.of(128));
    private static final NumberParameter COUNT = NumberParameter.optional("count", "Count", 6)
            .only(n -> n.isInt() && n.signum() >= 0, "a whole number from 0");

    SaltAndPepper() {
        super("salt-pepper", "Salt-and-pepper noise", "A constant background with single black and white pixels.", GROUND, COUNT);
    }

    @Override
    Source source(Arguments arguments, int count, int maximum, Draws draws) {
        int specks = whole(arguments, COUNT);
        if (specks > count) {
            throw PixeronException.of("count=%d is more than the %d pixels of the image.", specks, count);
        }
        int[] order = draws.least(count, specks);
        Map<Integer, Value> values = new HashMap<>();
        for (int n = 0; n < order.length; n++) {
            // The first half of them become white, as the step of the same name does by itself.
            values.put(order[n], Rational.of(2 * n < specks ? maximum : 0));
        }
        Value ground = arguments.get(GROUND).resolve(maximum);
        return offset -> values.getOrDefault(offset, ground);
    }
}
