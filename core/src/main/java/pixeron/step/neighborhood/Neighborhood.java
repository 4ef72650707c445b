package pixeron.step.neighborhood;

import java.util.List;
import pixeron.image.Pixel;
import pixeron.number.Value;

/**
 * A window laid on one pixel.
 *
 * @param window its size, anchor and border
 * @param pixel of the image before
 * @param sample what is there
 * @param cells of the window, row by row
 */
public record Neighborhood(Window window, Pixel pixel, Value sample, List<Window.Cell> cells) {
}
