package pixeron.byhand.slip.point;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.Varied;
import pixeron.image.Image;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.step.Step;

/** M + 1, the number of levels, was taken where M belongs; with and without clipping. */
public final class CountForMaximum implements Slip {

    /** Keys that are M unless a line says more, or may be M. */
    private static final List<String> KEYS = List.of("to-high", "high", "inside", "maximum");

    @Override
    public String id() {
        return "count-for-maximum";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        List<Way> ways = new ArrayList<>();
        int count = before.maximumLevel() + 1;
        String words = "M + 1 = " + count + " is taken for M = " + before.maximumLevel();
        for (Step ending : step.overflow() == Overflow.CLIP ? List.of(step, step.with(Overflow.KEEP)) : List.of(step)) {
            ending.bind(before).withNumber("M", Rational.of(count)).ifPresent(done -> ways.add(Way.of(words, done)));
            for (String key : KEYS) {
                Optional<String> number = Varied.number(step, key);
                if (number.filter(text -> text.equals("M") || text.equals("auto")
                        || text.equals(String.valueOf(before.maximumLevel()))).isPresent()) {
                    ways.addAll(Way.tried(words, () -> Varied.with(ending, key, String.valueOf(count)), before));
                }
            }
        }
        return ways;
    }
}
