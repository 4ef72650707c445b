package pixeron.byhand.slip.point;

import java.util.List;
import pixeron.byhand.slip.Slip;
import pixeron.byhand.slip.Varied;
import pixeron.image.Image;
import pixeron.step.Step;

/** The other equalization was done: with C₀ taken off where the step does not, or back. */
public final class OtherShare implements Slip {

    private final boolean isFromFirst;

    private OtherShare(boolean isFromFirst) {
        this.isFromFirst = isFromFirst;
    }

    /** @return (C − C₀) ÷ (N − C₀) where the step has C ÷ N */
    public static OtherShare fromFirst() {
        return new OtherShare(true);
    }

    /** @return C ÷ N where the step takes C₀ off */
    public static OtherShare plain() {
        return new OtherShare(false);
    }

    @Override
    public String id() {
        return isFromFirst ? "share-from-first" : "share-plain";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        String done = isFromFirst ? "share-from-first" : "share";
        return !Varied.is(step, "equalize") || Varied.choice(step, "method").orElse("").equals(done) ? List.of()
                : Way.tried(isFromFirst ? "the count of the lowest level is taken off: M × (C − C0) ÷ (N − C0)"
                : "the count of the lowest level is not taken off: M × C ÷ N", () -> Varied.with(step, "method", done), before);
    }
}
