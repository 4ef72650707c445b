package pixeron.walk;

import pixeron.image.Pixel;

/**
 * Writing a result pixel by pixel: which pixel it is now, and how far its own calculation is. Immutable; going back
 * restores exactly what was there.
 *
 * @param visits the order
 * @param place the visit that it is now, 0 … visits.count() − 1
 * @param moment how many lines of the loop are done for this pixel; {@link #ALL} when its value is written
 */
public record Walk(Visits visits, int place, int moment) {

    /** Everything is done for the pixel. */
    public static final int ALL = Integer.MAX_VALUE;

    /** Returns a walk on which nothing is written yet. */
    public static Walk start(Visits visits) {
        return new Walk(visits, 0, 0);
    }

    /** Returns the pixel that it is now. */
    public Pixel current() {
        return visits.pixel(place);
    }

    /** Returns whether the value of the current pixel is written. */
    public boolean isWritten() {
        return moment == ALL;
    }

    /** Returns whether the value of a pixel is written. */
    public boolean isWritten(Pixel pixel) {
        int visited = visits.place(pixel);
        return visited < place || visited == place && isWritten();
    }

    /** Returns the number of pixels that are written, 0 … visits.count(). */
    public int written() {
        return place + (isWritten() ? 1 : 0);
    }

    public boolean isAtEnd() {
        return written() == visits.count();
    }

    /**
     * Returns the walk when so many are written, the last of them the current one.
     *
     * @param count a number of pixels; beyond both ends the nearer end is taken
     */
    public Walk at(int count) {
        int wanted = Math.max(0, Math.min(visits.count(), count));
        return wanted == 0 ? start(visits) : new Walk(visits, wanted - 1, ALL);
    }

    /** Returns one pixel more written. */
    public Walk forward() {
        return at(written() + 1);
    }

    /** Returns one pixel less written. */
    public Walk back() {
        return at(isWritten() || moment == 0 ? written() - 1 : written());
    }

    /** Returns everything up to the pixel written, and it as well. */
    public Walk to(Pixel pixel) {
        return at(visits.place(pixel) + 1);
    }

    /** Returns everything written before the next row or column begins. */
    public Walk toNextLine() {
        return at(isAtEnd() ? visits.count() : visits.nextLine(Math.min(written(), visits.count() - 1)));
    }

    /**
     * Returns one line more done; behind the last the next pixel begins.
     *
     * @param moments how many lines are done for the current pixel in all
     */
    public Walk oneMoment(int moments) {
        if (isWritten()) {
            return next();
        }
        return new Walk(visits, place, moment + 1 >= moments ? ALL : moment + 1);
    }

    /** Returns the walk before the next pixel's first line; at the end this. */
    public Walk next() {
        return place + 1 < visits.count() ? new Walk(visits, place + 1, 0) : this;
    }
}
