package pixeron.step.frequency;

import java.util.List;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.step.Slip;
import pixeron.step.Way;

/** Slips of every step whose result is a spectrum. */
final class SpectrumSlips {

    static final Slip NOT_CENTRED = Slip.of("not-centred", right -> List.of(Way.of("frequency zero stands in the first row and column instead of the middle",
            pixel -> right.value(centred(right.frame(), pixel)))));

    private SpectrumSlips() {
    }

    /** @return where F(i, j) stands, of which somebody thinks that it stands in row i and column j */
    private static Pixel centred(Frame frame, Pixel pixel) {
        return new Pixel((pixel.row() + frame.rows() / 2) % frame.rows(), (pixel.column() + frame.columns() / 2) % frame.columns());
    }
}
