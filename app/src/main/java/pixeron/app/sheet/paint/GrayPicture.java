package pixeron.app.sheet.paint;

import java.util.stream.IntStream;
import pixeron.app.model.Described;

/** An image drawn in the tones of its values. */
final class GrayPicture extends Picture {

    private final Described described;
    private final Tones tones;

    GrayPicture(Described described, Tones tones) {
        super(described.image().frame());
        this.described = described;
        this.tones = tones;
    }

    @Override
    void fill(int[] points, Extent extent, int width, int height) {
        Sampling sampling = new Sampling(described, extent, width, height);
        IntStream.range(0, height).parallel().forEach(y -> {
            for (int x = 0; x < width; x++) {
                points[y * width + x] = sampling.isMean() ? tones.point(sampling.mean(x, y)) : tones.pointAt(sampling.offset(x, y));
            }
        });
    }
}
