package pixeron.app.model;

import java.util.Optional;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.ImageFacts;

/**
 * An image with the findings about it.
 *
 * @param image the samples
 * @param facts smallest, largest, mean
 * @param histogram counts of levels; empty for a real-valued image
 * @param smaller the image made smaller, for drawing it as a picture
 * @param isSpectral whether it is a face of a spectrum, of whose values the maximum level says nothing
 */
public record Described(Image image, ImageFacts facts, Optional<Histogram> histogram, Reductions smaller, boolean isSpectral) {

    /** Returns an image with its facts, in a few passes over its pixels. */
    public static Described of(Image image) {
        return of(image, false);
    }

    /** Returns the same for a face of a spectrum, or for an image. */
    static Described of(Image image, boolean isSpectral) {
        Optional<Histogram> histogram = image.isLevelImage() && !isSpectral ? Optional.of(Histogram.of(image)) : Optional.empty();
        return new Described(image, histogram.map(counts -> ImageFacts.ofLevels(counts, image.count()))
                .orElseGet(() -> ImageFacts.of(image)), histogram, Reductions.of(image), isSpectral);
    }
}
