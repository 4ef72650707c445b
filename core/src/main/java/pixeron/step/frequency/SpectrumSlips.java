package pixeron.step.frequency;

import java.util.List;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.step.Slip;
import pixeron.step.Way;

/** Slips of every step whose result is a spectrum. */
final class SpectrumSlips {

    static final Slip NOT_CENTERED = Slip.of("not-centered", right -> List.of(Way.of("frequency zero is in the first row and column instead of the center",
            pixel -> right.value(centered(right.frame(), pixel)))));

    private SpectrumSlips() {
    }

    /** Returns where F(i, j) stands, of which a user thinks that it is in row i and column j. */
    private static Pixel centered(Frame frame, Pixel pixel) {
        return new Pixel((pixel.row() + frame.rows() / 2) % frame.rows(), (pixel.column() + frame.columns() / 2) % frame.columns());
    }
}
