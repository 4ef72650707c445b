package pixeron.byhand.slip.point;

import java.util.ArrayList;
import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.Varied;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Amount;
import pixeron.step.NumberParameter;
import pixeron.step.Parameter;
import pixeron.step.Step;

/** One number of the step was taken one too large or too small. */
public final class ParameterOffByOne implements Slip {

    @Override
    public String id() {
        return "parameter-off-by-one";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        List<Way> ways = new ArrayList<>();
        for (Parameter<?> parameter : step.type().ownParameters()) {
            if (parameter instanceof NumberParameter number) {
                step.arguments().find(number).filter(Amount::isResolvable).ifPresent(amount -> {
                    Rational given = amount.resolve(before.maximumLevel());
                    for (Rational one : List.of(Rational.ONE, Rational.ONE.negated())) {
                        String text = Decimals.print(given.plus(one));
                        ways.addAll(Way.tried(number.key() + " is taken as " + text + " instead of "
                                + Decimals.print(given), () -> Varied.with(step, number.key(), text), before));
                    }
                });
            }
        }
        return ways;
    }
}
