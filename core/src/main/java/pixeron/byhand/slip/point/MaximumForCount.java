package pixeron.byhand.slip.point;

import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.Varied;
import pixeron.image.Image;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Step;

/** M was taken where the number of levels, M + 1, belongs: in the bins of quantize. */
public final class MaximumForCount implements Slip {

    @Override
    public String id() {
        return "maximum-for-count";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        if (!Varied.is(step, "quantize")) {
            return List.of();
        }
        int maximum = before.maximumLevel();
        Rational levels = Decimals.parse(Varied.number(step, "levels").orElseThrow());
        Finish finish = Finish.of(step, maximum);
        return List.of(Way.of("r × " + levels + " is divided by M = " + maximum + " instead of M + 1", pixel -> {
            Value bin = ((Rational) before.value(pixel).times(levels).dividedBy(Rational.of(maximum))).floor();
            return finish.apply(bin.times(Rational.of(maximum)).dividedBy(levels.minus(Rational.ONE)));
        }));
    }
}
