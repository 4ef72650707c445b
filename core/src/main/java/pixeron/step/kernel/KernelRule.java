package pixeron.step.kernel;

import java.util.Map;
import java.util.Set;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.image.Image;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Step;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.Window;
import pixeron.step.neighborhood.WindowOperation;
import pixeron.step.neighborhood.WindowRule;

/**
 * A kernel: Σ w·r ÷ divisor + offset over the window.
 *
 * <p>Cost: for a level image and rational weights as in {@link Summation}; for weights that are doubles a product for each
 * cell; for a real-valued image exact fractions for each cell.
 */
final class KernelRule {

    private static final Expression QUOTIENT = Parser.parse("sum / divisor", Set.of("sum", "divisor"));
    private static final Expression SHIFTED = Parser.parse("quotient + offset", Set.of("quotient", "offset"));

    private KernelRule() {
    }

    /**
     * @param given the weights as they were given
     * @param laid the same, or turned by 180°: as they are laid on the image
     */
    static Operation bind(Step step, Image before, Window window, Weights given, Weights laid) {
        // With border=inside only the weights of the cells inside count, in the divisor as well.
        boolean dividesByCells = laid.divisor().isEmpty() && window.border() == Border.INSIDE && laid.sum().signum() != 0;
        Weighted sum = Weighted.only(laid, given);
        WindowRule rule = dividesByCells ? WindowRule.of(sum, new WeightsInside(laid))
                : WindowRule.of(sum).withNumbers(Map.of("divisor", laid.divisorOrSum()));
        String note = laid.divisor().isPresent() || dividesByCells ? ""
                : "the sum of the weights" + (laid.sum().signum() == 0 ? " is 0, so 1" : "");
        rule = rule.then("divide", "quotient", QUOTIENT, note);
        Value offset = laid.offset();
        if (offset.signum() != 0) {
            rule = rule.withNumbers(Map.of("offset", offset)).then("offset", "with offset", SHIFTED, "");
        }
        return new WindowOperation(step, before, window, rule.withCodes(
                () -> KernelCodes.of(laid, before, window, dividesByCells).map(codes -> codes)));
    }
}
