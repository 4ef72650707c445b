package pixeron.step.geometry;

import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.BorderSlips;

/**
 * What is outside the image where values come in from there.
 *
 * @param border how the image goes on
 * @param value what is there, where the border has one
 */
record Outside(Border border, Value value) {

    /** Nothing outside is ever read. */
    static final Outside NEVER = new Outside(Border.CROP, Rational.ZERO);
    static final ChoiceParameter BORDER = Border.ZERO.parameter(Border.ZERO, Border.CONSTANT, Border.REPEAT, Border.MIRROR_HALF,
            Border.MIRROR_WHOLE, Border.WRAP);
    static final NumberParameter VALUE = NumberParameter.level("outside", "Border value", Amount.of(0)).leftOutAtWill();

    private static final List<Border> BORDERS = List.of(Border.ZERO, Border.REPEAT, Border.MIRROR_HALF, Border.MIRROR_WHOLE, Border.WRAP,
            Border.CONSTANT);

    /** @throws PixeronException if a value outside is given without its border, or back */
    static void validate(Arguments arguments) {
        Border.requireOutside(Border.named(arguments.get(BORDER)), arguments.isGiven(VALUE));
    }

    /** Returns slips of taking something else for what is outside. */
    static List<Slip> slips() {
        return BorderSlips.of(BORDERS, arguments -> Border.named(arguments.get(BORDER)), (step, border, outside) -> {
            Arguments changed = step.arguments().with(BORDER, BORDER.parse(border.word())).without(VALUE);
            return new Step(step.type(), outside == null ? changed : changed.with(VALUE, outside));
        });
    }

    static Outside of(Arguments arguments, int maximumLevel) {
        Optional<Rational> value = arguments.find(VALUE).map(amount -> amount.resolve(maximumLevel));
        return new Outside(Border.named(arguments.get(BORDER)), value.orElse(Rational.ZERO));
    }
}
