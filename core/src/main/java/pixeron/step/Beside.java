package pixeron.step;

import java.util.Optional;
import java.util.function.Function;
import pixeron.image.Image;
import pixeron.image.Pixel;

/**
 * Another image that a step takes beside the one before it.
 *
 * @param name how the step names it
 * @param place the pixel of it that a pixel of the result has something of; empty where it has nothing
 * @param home the pixel of the result that has something of a pixel of it; empty where none has
 */
public record Beside(String name, Image image, Function<Pixel, Optional<Pixel>> place, Function<Pixel, Optional<Pixel>> home) {

    /** Returns an image whose pixels are at the same places as those of the result. */
    public static Beside same(String name, Image image) {
        return new Beside(name, image, pixel -> Optional.of(pixel).filter(image::contains), Optional::of);
    }
}
