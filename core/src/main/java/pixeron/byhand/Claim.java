package pixeron.byhand;

/**
 * When a slip is claimed, in a sheet as in a table: for at least two cells and at least half of those that are wrong.
 *
 * @param explains how many wrong cells it explains
 * @param of how many are wrong
 */
public record Claim(int explains, int of) {

    /** Fewer cells are no pattern. */
    public static final int FEWEST = 2;

    /** Returns how many of so many wrong cells a slip must explain. */
    public static int needed(int of) {
        return Math.max(FEWEST, (of + 1) / 2);
    }

    public boolean holds() {
        return explains >= needed(of);
    }

    /** Returns {@code All 5}, {@code Both} or {@code 3 of the 5}. */
    public String words() {
        return explains < of ? explains + " of the " + of : explains == FEWEST ? "Both" : "All " + explains;
    }
}
