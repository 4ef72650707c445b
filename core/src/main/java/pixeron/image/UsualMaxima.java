package pixeron.image;

import java.util.List;
import pixeron.number.Rational;

/** The maximum levels that courses and files use, for images whose source does not say theirs. */
public final class UsualMaxima {

    /** One to eight bits, ten, twelve and sixteen bits, and the scales 0–10 and 0–100. */
    private static final List<Integer> ALL = List.of(1, 3, 7, 10, 15, 31, 63, 100, 127, Image.BYTE_MAXIMUM, 1023, 4095, Image.LARGEST_MAXIMUM);

    private UsualMaxima() {
    }

    /**
     * Returns the usual maximum levels that hold an image.
     *
     * @return smallest first, so that the first is the one to propose; empty when some sample is not a whole number from 0 to 65535
     */
    public static List<Integer> holding(Image image) {
        boolean areLevels = image.isLevelImage() || image.withMaximum(Image.LARGEST_MAXIMUM).isLevelImage();
        if (!areLevels) {
            return List.of();
        }
        int largest = ((Rational) ImageFacts.of(image).largest()).toInt();
        return ALL.stream().filter(maximum -> maximum >= largest).toList();
    }
}
