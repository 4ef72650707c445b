package pixeron.byhand.slip.point;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.image.Image;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Common;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Amount;
import pixeron.step.key.NumberParameter;

/**
 * M + 1, the number of levels, was taken where M belongs: in the formula, or in a key that is M; with and without
 * clipping.
 *
 * <p>Gives the formula with M + 1 for M, brought to an end as the step says, or with M + 1 there as well. Source:
 * docs/slips.md.
 */
public final class CountForMaximum implements Slip {

    @Override
    public String id() {
        return "count-for-maximum";
    }

    @Override
    public List<Way> ways(Operation right) {
        List<Way> ways = new ArrayList<>();
        Step step = right.step();
        int maximum = right.before().maximumLevel();
        Value count = Rational.of(maximum + 1);
        String words = "M + 1 = " + (maximum + 1) + " is used instead of M = " + maximum;
        boolean isClipped = step.has(Common.OVERFLOW) && step.overflow() == Overflow.CLIP;
        for (Step ending : isClipped ? List.of(step, step.with(Overflow.KEEP)) : List.of(step)) {
            ending.bind(right.inputs()).withNumber("M", count).ifPresent(done -> ways.add(Way.of(words, done)));
            step.type().ownParameters().stream().filter(NumberParameter.class::isInstance).map(NumberParameter.class::cast)
                    .filter(key -> isMaximum(key, step.arguments().find(key), maximum))
                    .forEach(key -> ways.addAll(Way.tried(words, () -> ending.with(key, Amount.of(maximum + 1)), right)));
        }
        return ways;
    }

    /** A key where M may be written, and stands or is meant. */
    private static boolean isMaximum(NumberParameter key, Optional<Amount> given, int maximum) {
        return key.takesMaximum() && given.filter(amount -> amount.equals(Amount.MAXIMUM) || amount.isAuto()
                || amount.equals(Amount.of(maximum))).isPresent() && maximum < Image.LARGEST_MAXIMUM;
    }
}
