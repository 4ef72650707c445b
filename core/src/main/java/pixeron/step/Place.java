package pixeron.step;

import java.util.Optional;
import pixeron.image.Pixel;
import pixeron.number.Value;

/**
 * A cell of the window around a pixel.
 *
 * @param row the row in the image before where the cell lies; outside the image below 0 or beyond its last
 * @param column its column
 * @param source the pixel that its value comes from: the place itself inside the image, where the border says outside it;
 *     empty where the value comes from no pixel
 * @param value what stands there; empty where nothing counts
 * @param isInside whether the cell lies inside the image
 */
public record Place(int row, int column, Optional<Pixel> source, Optional<Value> value, boolean isInside) {
}
