package pixeron.app.model;

import pixeron.image.Pixel;

/**
 * A pixel under the pointer.
 *
 * @param isBefore whether it is one of Before, else of the result
 */
public record Pointed(Pixel pixel, boolean isBefore) {
}
