package pixeron.app.sheet.paint;

import java.util.List;
import java.util.stream.IntStream;
import pixeron.app.model.Seen;

/** An image in color drawn as it looks, transparent parts over a checked ground; levels beyond 0–M as the nearer end. */
final class ColorPicture extends Picture {

    private static final int COLOURS = 3;
    /** Side of a square of the ground behind transparent pixels, in points. */
    private static final int CHECK = 4;
    private static final double PAPER = 1;
    private static final double CHECKED = 0.82;

    private final Seen seen;
    private final double maximum;

    ColorPicture(Seen seen) {
        super(seen.frame());
        this.seen = seen;
        this.maximum = seen.frame().maximumLevel();
    }

    @Override
    void fill(int[] points, Extent extent, int width, int height) {
        List<Sampling> faces = seen.faces().stream().map(face -> new Sampling(face, extent, width, height)).toList();
        IntStream.range(0, height).parallel().forEach(y -> {
            for (int x = 0; x < width; x++) {
                double alpha = faces.size() > COLOURS ? share(faces.get(COLOURS).value(x, y)) : 1;
                double behind = (1 - alpha) * ((x / CHECK + y / CHECK) % 2 == 0 ? PAPER : CHECKED);
                int point = 0xFF;
                for (int channel = 0; channel < COLOURS; channel++) {
                    point = point << 8 | (int) (255 * (alpha * share(faces.get(channel).value(x, y)) + behind) + 0.5);
                }
                points[y * width + x] = point;
            }
        });
    }

    private double share(double value) {
        return Math.max(0, Math.min(1, value / maximum));
    }

    /** Returns the color of a pixel where its whole cell is seen, over a ground between the squares of the checked one. */
    int point(int offset) {
        double alpha = seen.faces().size() > COLOURS ? share(seen.faces().get(COLOURS).image().asDouble(offset)) : 1;
        int point = 0xFF;
        for (int channel = 0; channel < COLOURS; channel++) {
            double value = alpha * share(seen.faces().get(channel).image().asDouble(offset)) + (1 - alpha) * (PAPER + CHECKED) / 2;
            point = point << 8 | (int) (255 * value + 0.5);
        }
        return point;
    }
}
