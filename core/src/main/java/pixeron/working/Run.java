package pixeron.working;

/**
 * A stretch of a working line that has one role.
 *
 * @param text as it is read, with typographic signs (− × ÷ →)
 * @param role what it stands for
 */
public record Run(String text, Role role) {

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
}
