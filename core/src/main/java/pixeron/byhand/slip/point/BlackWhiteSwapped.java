package pixeron.byhand.slip.point;

import java.util.List;
import java.util.Optional;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.Varied;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Finish;
import pixeron.step.Operation;
import pixeron.step.Step;

/** High and low were exchanged. */
public final class BlackWhiteSwapped implements Slip {

    @Override
    public String id() {
        return "black-white-swapped";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        String name = step.type().name();
        Optional<String> low = Varied.number(step, "low");
        Optional<String> high = Varied.number(step, "high");
        if (name.startsWith("threshold") && low.isPresent() && high.isPresent()) {
            return Way.tried("high and low are exchanged", () -> Varied.with(Varied.with(step, "low", high.get()),
                    "high", low.get()), before);
        } else if (name.equals("band")) {
            Operation band = step.bind(before);
            Finish finish = Finish.of(step, before.maximumLevel());
            Rational maximum = Rational.of(before.maximumLevel());
            return List.of(Way.of("M is written outside the band and 0 inside",
                    pixel -> finish.apply(maximum.minus((Rational) band.exact(pixel)))));
        }
        return List.of();
    }
}
