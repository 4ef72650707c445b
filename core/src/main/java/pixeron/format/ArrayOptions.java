package pixeron.format;

import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a user says about an array of numbers that its text leaves open.
 *
 * @param columns the number of columns of a flat list; empty: one row, or as the text has it
 * @param channels the order of the channels of a pixel, such as rgb or bgra; empty: red, green, blue, alpha
 * @param arePlanes whether three levels that fit both are planes
 * @param areSignedBytes whether 256 is added to negative values
 * @param packed how whole values are read as pixels: argb or rgb; empty: not at all
 */
public record ArrayOptions(OptionalInt columns, Optional<String> channels, boolean arePlanes, boolean areSignedBytes, Optional<String> packed) {

    /** No choice is made. */
    public static final ArrayOptions NONE = new ArrayOptions(OptionalInt.empty(), Optional.empty(), false, false, Optional.empty());

    /** Returns this with the number of columns of a flat list. */
    public ArrayOptions withColumns(int number) {
        return new ArrayOptions(OptionalInt.of(number), channels, arePlanes, areSignedBytes, packed);
    }
}
