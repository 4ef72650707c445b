package pixeron.working;

/**
 * A stretch of a working line that has one role.
 *
 * @param text as it is read, with typographic signs (− × ÷ →)
 * @param role what it represents
 * @param origin for a cell of a grid how it came about, such as 2 × 137, or where it comes from; else empty
 */
public record Run(String text, Role role, String origin) {

    /** A stretch that speaks for itself. */
    public Run(String text, Role role) {
        this(text, role, "");
    }

    public static Run plain(String text) {
        return new Run(text, Role.PLAIN);
    }

    public static Run before(String text) {
        return new Run(text, Role.BEFORE);
    }

    public static Run after(String text) {
        return new Run(text, Role.AFTER);
    }

    public static Run note(String text) {
        return new Run(text, Role.NOTE);
    }

    /** Returns this as a cell that says how it came about. */
    public Run from(String where) {
        return new Run(text, role, where);
    }
}
