package pixeron.app.model;

import pixeron.image.Area;
import pixeron.image.Frame;
import pixeron.image.Pixel;
import pixeron.look.Segment;

/** What a user marked on the sheets: a rectangle or a line. */
public sealed interface Selection {

    /**
     * A rectangle.
     *
     * @param area the marked rectangle
     */
    record Rectangle(Area area) implements Selection {
        @Override
        public boolean isInside(Frame frame) {
            return frame.contains(area.lastPixel());
        }
    }

    /**
     * A line.
     *
     * @param segment the marked line
     */
    record Line(Segment segment) implements Selection {
        @Override
        public boolean isInside(Frame frame) {
            return frame.contains(segment.from()) && frame.contains(segment.to());
        }
    }

    /** Returns whether all of it lies inside the image. */
    boolean isInside(Frame frame);

    /** Returns the rectangle between two pixels. */
    static Selection rectangle(Pixel from, Pixel to) {
        return new Rectangle(Area.between(from, to));
    }

    /** Returns the line between two pixels. */
    static Selection line(Pixel from, Pixel to) {
        return new Line(new Segment(from, to));
    }
}
