package pixeron.byhand.slip.point;

import java.util.ArrayList;
import java.util.List;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Amount;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;

/**
 * One number of the step was taken one too large or too small.
 *
 * <p>Gives the step with that number plus or minus 1, where its line allows that. Source: docs/slips.md.
 */
public final class ParameterOffByOne implements Slip {

    @Override
    public String id() {
        return "parameter-off-by-one";
    }

    @Override
    public List<Way> ways(Operation right) {
        Step step = right.step();
        List<Way> ways = new ArrayList<>();
        for (Parameter<?> parameter : step.type().ownParameters()) {
            if (parameter instanceof NumberParameter number) {
                step.arguments().find(number).filter(Amount::isResolvable).ifPresent(amount -> {
                    Rational given = amount.resolve(right.before().maximumLevel());
                    for (Rational one : List.of(Rational.ONE, Rational.ONE.negated())) {
                        String text = Decimals.print(given.plus(one));
                        ways.addAll(Way.tried(number.title() + " (" + number.key() + ") is " + text + " instead of "
                                + Decimals.print(given), () -> step.with(number, number.parse(text)), right));
                    }
                });
            }
        }
        return ways;
    }
}
