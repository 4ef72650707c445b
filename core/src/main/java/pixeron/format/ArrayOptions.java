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
 * @param isSwapped whether the rows are the columns of the image, as in arrays that are indexed x first
 */
public record ArrayOptions(OptionalInt columns, Optional<String> channels, boolean arePlanes, boolean areSignedBytes, Optional<String> packed,
        boolean isSwapped) {

    /** No choice is made. */
    public static final ArrayOptions NONE = new ArrayOptions(OptionalInt.empty(), Optional.empty(), false, false, Optional.empty(), false);

    /** Returns this with the number of columns of a flat list. */
    public ArrayOptions withColumns(int number) {
        return new ArrayOptions(OptionalInt.of(number), channels, arePlanes, areSignedBytes, packed, isSwapped);
    }

    /** Returns this with the order of the channels. */
    public ArrayOptions withChannels(String order) {
        return new ArrayOptions(columns, Optional.of(order), arePlanes, areSignedBytes, packed, isSwapped);
    }

    /** Returns this with planes, or without. */
    public ArrayOptions withPlanes(boolean isOn) {
        return new ArrayOptions(columns, channels, isOn, areSignedBytes, packed, isSwapped);
    }

    /** Returns this with negative values as bytes that were printed with a sign, or without. */
    public ArrayOptions withSignedBytes(boolean isOn) {
        return new ArrayOptions(columns, channels, arePlanes, isOn, packed, isSwapped);
    }

    /** Returns this with packed pixels: argb or rgb. */
    public ArrayOptions withPacked(String way) {
        return new ArrayOptions(columns, channels, arePlanes, areSignedBytes, Optional.of(way), isSwapped);
    }

    /** Returns this with rows taken for columns, or without. */
    public ArrayOptions withSwapped(boolean isOn) {
        return new ArrayOptions(columns, channels, arePlanes, areSignedBytes, packed, isOn);
    }
}
