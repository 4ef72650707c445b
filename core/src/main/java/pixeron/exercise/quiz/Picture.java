package pixeron.exercise.quiz;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import pixeron.exercise.Variant;
import pixeron.format.ImageFiles;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.number.Rational;
import pixeron.number.Rounding;

/**
 * An image as browsers show it: a PNG whose levels are spread to 0–255. A small image is enlarged by a whole factor, so that each pixel is seen as a square.
 *
 * @param name of its file
 * @param words for readers who do not see it
 * @param png the file
 */
record Picture(String name, String words, byte[] png) {

    /** An image with fewer pixels a side is enlarged up to this. */
    private static final int SIDE = 192;

    static Picture of(Variant variant) {
        Result input = variant.chain().input();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageFiles.writePng(spread(input), out);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return new Picture(variant.code() + ".png", "The image of " + variant.code() + ", " + input.frame().size(), out.toByteArray());
    }

    private static Result spread(Result result) {
        List<Image> all = result.faces().stream().map(face -> spread(face.image())).toList();
        return result instanceof ColorImage ? new ColorImage(all.get(0), all.get(1), all.get(2), all.stream().skip(3).findFirst()) : all.get(0);
    }

    /** Each pixel is a square of the same size; values outside 0–M are clipped. */
    private static Image spread(Image image) {
        int side = Math.max(1, SIDE / Math.max(image.rows(), image.columns()));
        int columns = image.columns() * side;
        Rational maximum = Rational.of(image.maximumLevel());
        int[] gray = new int[image.count()];
        for (int n = 0; n < gray.length; n++) {
            Pixel pixel = image.pixel(n);
            double level = Rounding.NEAREST.apply(image.value(pixel).times(Rational.of(Image.BYTE_MAXIMUM)).dividedBy(maximum)).asDouble();
            gray[n] = (int) Math.max(0, Math.min(Image.BYTE_MAXIMUM, level));
        }
        return Image.ofLevels(image.rows() * side, columns, Image.BYTE_MAXIMUM, n -> gray[n / columns / side * image.columns() + n % columns / side]);
    }
}
