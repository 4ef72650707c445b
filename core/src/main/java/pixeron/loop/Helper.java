package pixeron.loop;

/**
 * What programs bring along for what is no calculation of a few signs. Random numbers are those of {@link pixeron.number.Draws}.
 */
public enum Helper {

    /** A whole number that lies in the order of h(n): (seed, n). */
    DRAWN_ORDER("order", Kind.WHOLE),
    /** u(n): (seed, n). */
    DRAWN_SHARE("share", Kind.REAL),
    /** ⌊u(n) · range⌋: (seed, n, range). */
    DRAWN_BELOW("below", Kind.WHOLE),
    /** The number, or the half that it is nearly: (number). */
    NEARLY("nearly", Kind.REAL),
    /** The number, or the half that it is but for the end of a calculation with numbers of such a size: (number, size). */
    SNAPPED("snap", Kind.REAL);

    private final String word;
    private final Kind kind;

    Helper(String word, Kind kind) {
        this.word = word;
        this.kind = kind;
    }

    /** Returns its name in programs. */
    String word() {
        return word;
    }

    Kind kind() {
        return kind;
    }

    boolean isDrawn() {
        return this != NEARLY && this != SNAPPED;
    }
}
