package pixeron.step.geometry;

import java.util.Optional;
import pixeron.PixeronException;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.neighborhood.Border;

/**
 * What stands outside the image where values come in from there.
 *
 * @param border how the image goes on
 * @param value what stands there, where the border has one
 */
record Outside(Border border, Value value) {

    /** Nothing outside is ever read. */
    static final Outside NEVER = new Outside(Border.CROP, Rational.ZERO);
    static final ChoiceParameter BORDER = Border.ZERO.parameter(Border.ZERO, Border.CONSTANT, Border.REPEAT, Border.MIRROR_HALF,
            Border.MIRROR_WHOLE, Border.WRAP);
    static final NumberParameter VALUE = NumberParameter.level("outside", "Outside", Amount.of(0)).leftOutAtWill();

    /** @throws PixeronException if a value outside is given without its border, or back */
    static void validate(Arguments arguments) {
        Border.requireOutside(Border.named(arguments.get(BORDER)), arguments.isGiven(VALUE));
    }

    static Outside of(Arguments arguments, int maximumLevel) {
        Optional<Rational> value = arguments.find(VALUE).map(amount -> amount.resolve(maximumLevel));
        return new Outside(Border.named(arguments.get(BORDER)), value.orElse(Rational.ZERO));
    }
}
