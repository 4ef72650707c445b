package pixeron.step.pair;

import java.util.ArrayList;
import java.util.List;
import pixeron.PixeronException;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.step.Inputs;
import pixeron.step.Mend;

/** Two images that must have as many rows and columns each. */
public final class SameSize {

    private SameSize() {
    }

    /**
     * Returns the other image.
     *
     * @param type the name of the step
     * @param reference names the other image
     * @throws PixeronException if it has another size
     */
    public static Image require(String type, Image before, String reference, Image other) {
        if (!other.frame().isSized(before.frame())) {
            throw PixeronException.of("%s needs two images of the same size. The image has %d × %d pixels, %s %d × %d. Change the "
                    + "size of one with crop, pad or resize.", type, before.rows(), before.columns(), reference, other.rows(),
                    other.columns());
        }
        return other;
    }

    /**
     * Made of the larger image: resized by the ratio of rows, or cut down. Where that leaves the columns different, the same is offered
     * again.
     *
     * @param reference names the other image
     * @return what brings both to one size; none where they have it
     */
    public static List<Mend> mends(Inputs inputs, String reference) {
        Frame before = inputs.before().frame();
        Frame other = inputs.others().apply(reference).frame();
        if (before.isSized(other)) {
            return List.of();
        }
        boolean isOther = (long) other.rows() * other.columns() > (long) before.rows() * before.columns();
        Frame large = isOther ? other : before;
        Frame small = isOther ? before : other;
        String which = isOther ? reference : "the image";
        List<Mend> mends = new ArrayList<>();
        if (large.rows() != small.rows()) {
            Rational columns = (Rational) Rounding.NEAREST.apply(Rational.of((long) large.columns() * small.rows(), large.rows()));
            mends.add(new Mend("Resize " + which + " by the ratio of rows, to " + small.rows() + " × " + Math.max(1, columns.toInt()), isOther,
                    "resize height=" + small.rows() + " by=mean"));
        }
        int rows = Math.min(large.rows(), small.rows());
        int columns = Math.min(large.columns(), small.columns());
        mends.add(new Mend("Crop " + which + " to " + rows + " × " + columns, isOther, "crop row=0 column=0 height=" + rows + " width=" + columns));
        return mends;
    }
}
