package pixeron.step.threshold;

import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.NumberParameter;

/** What all steps share that make two levels of all, high and low. */
final class TwoLevels {

    private TwoLevels() {
    }

    /** Returns the slip of writing high for low and low for high. */
    static Slip swapped(NumberParameter low, NumberParameter high) {
        return Slip.of("black-white-swapped", "high and low are swapped", step -> swapped(step, low, high));
    }

    private static Step swapped(Step step, NumberParameter low, NumberParameter high) {
        Amount dark = step.arguments().get(low);
        return step.with(low, step.arguments().get(high)).with(high, dark);
    }
}
