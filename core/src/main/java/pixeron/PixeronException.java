package pixeron;

/**
 * Something a user asked for cannot be done: bad input, a bad step line, a value that does not exist.
 *
 * <p>The message is one line for the user: what is wrong, where, and what would be right. It is shown as it
 * is in the window and on standard error, so it never speaks of classes or of the code. Whatever was put into it
 * from outside, it is a {@linkplain Harmless#line harmless line}.
 */
public class PixeronException extends RuntimeException {

    /**
     * Creates an error with one line for the user.
     *
     * @param message one line for the user
     */
    protected PixeronException(String message, Throwable cause) {
        super(Harmless.line(message), cause);
    }

    /**
     * Returns the exception, to be thrown.
     *
     * @param message a {@link String#format} pattern of one line
     * @param values the values put into it
     */
    public static PixeronException of(String message, Object... values) {
        return new PixeronException(values.length == 0 ? message : String.format(message, values), null);
    }

    /** Returns what went wrong, in words for a user, whatever it was. */
    public static String words(Throwable broken) {
        return broken instanceof PixeronException ? broken.getMessage()
                : broken instanceof OutOfMemoryError ? "There is not enough memory for this."
                : broken instanceof StackOverflowError ? "The input is nested too deeply."
                : Harmless.line("Internal error in Pixeron (" + broken + "). Please report it.");
    }

    /**
     * Returns the exception, to be thrown.
     *
     * @param cause what went wrong below, kept for the log
     * @param message a {@link String#format} pattern of one line
     * @param values the values put into it
     */
    public static PixeronException because(Throwable cause, String message, Object... values) {
        return new PixeronException(String.format(message, values), cause);
    }
}
