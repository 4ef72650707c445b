package pixeron.image;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.number.Rational;

/**
 * A picture with three color channels, each an image of its own, and perhaps transparency.
 *
 * @param red an image
 * @param green of the same size and maximum level
 * @param blue of the same size and maximum level
 * @param alpha 0 is transparent, M is opaque; empty: the picture has no transparency
 */
public record ColorImage(Image red, Image green, Image blue, Optional<Image> alpha) implements Components {

    /**
     * Checks the channels.
     *
     * @throws PixeronException if the channels differ in size or maximum level
     */
    public ColorImage {
        requireSame(red, green);
        requireSame(red, blue);
        alpha.ifPresent(channel -> requireSame(red, channel));
    }

    /**
     * Creates a color image.
     *
     * @param faces red, green, blue and perhaps alpha
     */
    public static ColorImage of(List<Image> faces) {
        return new ColorImage(faces.get(0), faces.get(1), faces.get(2), faces.size() > 3 ? Optional.of(faces.get(3)) : Optional.empty());
    }

    @Override
    public ColorImage with(List<Image> faces) {
        return of(faces);
    }

    @Override
    public List<String> unnamed() {
        return List.of("red", "green", "blue");
    }

    /** Returns whether all samples are levels. */
    public boolean isLevelImage() {
        return faces().stream().allMatch(face -> face.image().isLevelImage());
    }

    private static void requireSame(Image a, Image b) {
        if (a.rows() != b.rows() || a.columns() != b.columns() || a.maximumLevel() != b.maximumLevel()) {
            throw PixeronException.of("All channels must have the same size and maximum level.");
        }
    }

    @Override
    public Frame frame() {
        return red.frame();
    }

    @Override
    public String kind() {
        return "a color image";
    }

    @Override
    public List<Face> faces() {
        return Stream.concat(Stream.of(new Face("red", red), new Face("green", green), new Face("blue", blue)),
                alpha.stream().map(channel -> new Face("alpha", channel))).toList();
    }

    public int rows() {
        return red.rows();
    }

    public int columns() {
        return red.columns();
    }

    public int maximumLevel() {
        return red.maximumLevel();
    }

    /** Returns the smallest rectangle around all pixels that are not fully opaque; empty when all are. */
    public Optional<Area> transparentArea() {
        Optional<Area> area = Optional.empty();
        for (int n = 0; alpha.isPresent() && n < alpha.get().count(); n++) {
            if (isTransparent(n)) {
                Pixel pixel = red.pixel(n);
                area = Optional.of(area.map(a -> new Area(a.row(), Math.min(a.column(), pixel.column()),
                        pixel.row() - a.row() + 1, Math.max(a.column() + a.width(), pixel.column() + 1)
                        - Math.min(a.column(), pixel.column()))).orElse(new Area(pixel.row(), pixel.column(), 1, 1)));
            }
        }
        return area;
    }

    private boolean isTransparent(int n) {
        Image channel = alpha.orElseThrow();
        return channel.isLevelImage() ? channel.level(n) < maximumLevel()
                : channel.value(n).compareValue(Rational.of(maximumLevel())) < 0;
    }

    /** Returns the number of pixels that are not fully opaque. */
    public int transparentPixels() {
        int count = 0;
        for (int n = 0; alpha.isPresent() && n < alpha.get().count(); n++) {
            count += isTransparent(n) ? 1 : 0;
        }
        return count;
    }
}
