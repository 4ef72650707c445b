package pixeron.app.folder;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where a window was, to be there again.
 *
 * @param x left edge on the desk of all screens
 * @param y upper edge
 * @param isFilling whether it filled its screen; the numbers are then what it was before
 */
public record WindowPlace(int x, int y, int width, int height, boolean isFilling) {

    private static final Pattern FORM = Pattern.compile("(-?\\d{1,6}),(-?\\d{1,6}) (\\d{1,6}) x (\\d{1,6})( filling)?");
    /** So much of a window must be on a screen for a pointer to get hold of it. */
    private static final int HANDLE = 100;

    /** Returns the place that was written with {@link #toString}; empty for anything else. */
    static Optional<WindowPlace> parse(String text) {
        Matcher parts = FORM.matcher(text);
        return parts.matches() ? Optional.of(new WindowPlace(Integer.parseInt(parts.group(1)), Integer.parseInt(parts.group(2)),
                Integer.parseInt(parts.group(3)), Integer.parseInt(parts.group(4)), parts.group(5) != null)) : Optional.empty();
    }

    /**
     * Returns whether a window here can be reached and is no larger than the screen, which may be another one than last time.
     *
     * @param left edges of a screen, on the same desk
     */
    public boolean isOn(double left, double top, double right, double bottom) {
        return x + width >= left + HANDLE && x <= right - HANDLE && y >= top && y <= bottom - HANDLE && width <= right - left
                && height <= bottom - top;
    }

    @Override
    public String toString() {
        return x + "," + y + " " + width + " x " + height + (isFilling ? " filling" : "");
    }
}
