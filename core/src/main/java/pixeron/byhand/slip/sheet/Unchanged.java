package pixeron.byhand.slip.sheet;

import pixeron.byhand.Check;
import pixeron.byhand.color.Abreast;
import pixeron.image.Components;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.step.Way;

/**
 * The values are those of before the step: the result was never written, or the wrong image was.
 *
 * <p>Claimed before all others, and only where it explains every filled cell and at least three of them differ: of fewer cells it would be a
 * guess, and a part that stays is a loop that stopped. Source: docs/slips.md.
 */
public final class Unchanged {

    public static final String ID = "unchanged";

    private static final int FEWEST = 3;

    private Unchanged() {
    }

    /**
     * Returns whether enough was written for this slip to be claimed.
     *
     * @param check the user's values
     * @param right the step, or the steps of all channels
     */
    public static boolean isPossible(Check check, Explained right) {
        return check.differing().size() >= FEWEST && (right instanceof Operation operation ? operation.before().frame().isSized(right.frame())
                : right instanceof Abreast faces && faces.before().frame().isSized(faces.after().frame())
                        && faces.before() instanceof Components before && before.names().equals(faces.after().names()));
    }

    /** Returns the way in which every value stays as it was; {@link #isPossible} holds. */
    public static Way of(Explained right) {
        return Way.of("every value is unchanged", pixel -> before(right, pixel));
    }

    private static Value before(Explained right, Pixel pixel) {
        if (right instanceof Operation operation) {
            return operation.before().value(pixel);
        }
        Abreast faces = (Abreast) right;
        Image channel = faces.before().face(faces.face(pixel)).orElseThrow();
        return channel.value(faces.pixel(pixel));
    }
}
