package pixeron.step;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Value;

/**
 * A place of a step's input that the value of a result pixel was made from.
 *
 * @param row the row of the input where it lies; outside the image below 0 or beyond its last
 * @param column its column
 * @param pixel the pixel that its value comes from: the place itself inside the image, where the border says outside it;
 *     empty where the value comes from no pixel
 * @param value what is there; empty where nothing counts
 * @param weight what the value is multiplied with; empty where it is not a weighted sum, such as in a median
 * @param isInside whether the place lies inside the image
 */
public record Source(int row, int column, Optional<Pixel> pixel, Optional<Value> value, Optional<Value> weight,
        boolean isInside) {

    /** In larger images not every pixel is named. */
    private static final int MOST_NAMED = 1 << 12;

    /** Returns every pixel of an image, for a value that is made of all of them; none of a large one. */
    public static List<Source> all(Image image) {
        return image.count() > MOST_NAMED ? List.of() : IntStream.range(0, image.count()).mapToObj(n -> of(image.pixel(n), image.value(n))).toList();
    }

    /** Returns a pixel of an image, taken as it is. */
    public static Source of(Pixel pixel, Value value) {
        return new Source(pixel.row(), pixel.column(), Optional.of(pixel), Optional.of(value), Optional.empty(), true);
    }
}
