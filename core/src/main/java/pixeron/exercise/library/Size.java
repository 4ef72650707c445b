package pixeron.exercise.library;

import java.util.Locale;

/** How large the image of an exercise is. */
public enum Size {
    SMALL(4, 7), MEDIUM(6, 7), LARGE(8, 15);

    private final int side;
    private final int maximum;

    Size(int side, int maximum) {
        this.side = side;
        this.maximum = maximum;
    }

    /** Returns rows and columns. */
    public int side() {
        return side;
    }

    /** Returns M of an image whose levels are counted. */
    int maximum() {
        return maximum;
    }

    /** Returns its word: small, medium or large. */
    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
