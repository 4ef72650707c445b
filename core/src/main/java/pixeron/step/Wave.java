package pixeron.step;

import java.util.Optional;
import pixeron.image.Frame;
import pixeron.image.Frequency;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.image.Spectrum;
import pixeron.number.Approximate;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * The wave that a coefficient of a spectrum and its conjugate represent.
 *
 * @param frame of the image
 * @param frequency of the coefficient
 * @param magnitude of the coefficient
 * @param phase of the coefficient, in degrees
 * @param away the step that takes it away
 */
public record Wave(Frame frame, Frequency frequency, Value magnitude, Value phase, Step away) {

    private static final double STRAIGHT = 180;
    /** More turns than these are not seen in a small picture. */
    private static final int MOST_TURNS = 8;
    private static final int LARGEST_PICTURE = 96;
    private static final double HALF_WHITE = 127.5;

    /** Returns the place of the coefficient. */
    public Pixel place() {
        return Spectrum.place(frame, frequency.u(), frequency.v());
    }

    /** Returns the place of its conjugate; its own where it has none. */
    public Pixel mate() {
        return Spectrum.mate(frame, place());
    }

    /** Returns whether the coefficient is its own conjugate. */
    public boolean isAlone() {
        return mate().equals(place());
    }

    /** Returns how many rows one turn takes; empty where nothing changes from row to row. */
    public Optional<Rational> periodRows() {
        return period(frame.rows(), frequency.u());
    }

    /** Returns how many columns one turn takes; empty where nothing changes from column to column. */
    public Optional<Rational> periodColumns() {
        return period(frame.columns(), frequency.v());
    }

    private static Optional<Rational> period(int length, int frequency) {
        return frequency == 0 ? Optional.empty() : Optional.of(Rational.of(length, Math.abs(frequency)));
    }

    /** Returns across which the wave runs, in [0, 180) degrees: 0 from column to column, 90 from row to row. */
    public Value angle() {
        double degrees = Math.toDegrees(Math.atan2(frequency.u(), frequency.v()));
        return Approximate.snapped(degrees < 0 ? degrees + STRAIGHT : degrees >= STRAIGHT ? degrees - STRAIGHT : degrees, 1);
    }

    /** Returns what {@link #picture} shows of the image: all of it, or a corner with a few turns. */
    public Frame part() {
        return new Frame(seen(frame.rows(), frequency.u()), seen(frame.columns(), frequency.v()), Image.BYTE_MAXIMUM);
    }

    private static int seen(int length, int frequency) {
        return Math.abs(frequency) <= MOST_TURNS ? length : Math.max(1, (int) Math.ceil(MOST_TURNS * (double) length / Math.abs(frequency)));
    }

    /** Returns the wave alone, from black to white, in at most 96 × 96 pixels; gray where its magnitude is 0. */
    public Image picture() {
        Frame part = part();
        int every = (Math.max(part.rows(), part.columns()) + LARGEST_PICTURE - 1) / LARGEST_PICTURE;
        int columns = (part.columns() + every - 1) / every;
        double begin = Math.toRadians(phase.asDouble());
        double high = magnitude.signum() == 0 ? 0 : HALF_WHITE;
        return Image.ofLevels((part.rows() + every - 1) / every, columns, Image.BYTE_MAXIMUM, n -> {
            double turn = (double) frequency.u() * (n / columns * every) / frame.rows() + (double) frequency.v() * (n % columns * every) / frame.columns();
            return (int) Math.round(HALF_WHITE + high * Math.cos(2 * Math.PI * (turn - Math.floor(turn)) + begin));
        });
    }
}
