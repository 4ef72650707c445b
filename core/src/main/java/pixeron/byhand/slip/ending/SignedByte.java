package pixeron.byhand.slip.ending;

import java.util.List;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Way;

/**
 * A byte was printed with a sign.
 *
 * <p>Gives v − 256 for values above 127, with M = 255. Source: docs/slips.md.
 */
public final class SignedByte implements Slip {

    private static final Rational LARGEST = Rational.of(127);
    private static final Rational ALL = Rational.of(256);

    @Override
    public String id() {
        return "signed-byte";
    }

    @Override
    public List<Way> ways(Operation right) {
        return right.frame().maximumLevel() != Image.BYTE_MAXIMUM ? List.of()
                : List.of(Way.of("bytes above 127 are printed with a sign, so they are 256 too small", pixel -> signed(right.value(pixel))));
    }

    private static Value signed(Value value) {
        return value instanceof Rational level && level.compareTo(LARGEST) > 0 ? level.minus(ALL) : value;
    }
}
