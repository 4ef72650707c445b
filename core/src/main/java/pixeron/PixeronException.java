package pixeron;

/**
 * Something a person asked for cannot be done: bad input, a bad step line, a value that does not exist.
 *
 * <p>The message is one line for the person: what is wrong, where, and what would be right. It is shown as it
 * stands in the window and on standard error, so it never speaks of classes or of the code. Whatever was put into it
 * from outside, it is a {@linkplain Harmless#line harmless line}.
 */
public class PixeronException extends RuntimeException {

    /** @param message one line for the person */
    protected PixeronException(String message, Throwable cause) {
        super(Harmless.line(message), cause);
    }

    /**
     * @param message a {@link String#format} pattern of one line
     * @param values the values put into it
     * @return the exception, to be thrown
     */
    public static PixeronException of(String message, Object... values) {
        return new PixeronException(values.length == 0 ? message : String.format(message, values), null);
    }

    /** @return what went wrong, in words for a person, whatever it was */
    public static String words(Throwable broken) {
        return broken instanceof PixeronException ? broken.getMessage()
                : broken instanceof OutOfMemoryError ? "There is not enough memory for this."
                : broken instanceof StackOverflowError ? "The input is nested too deeply."
                : Harmless.line("Internal error in Pixeron (" + broken + "). Please report it.");
    }

    /**
     * @param cause what went wrong below, kept for the log
     * @param message a {@link String#format} pattern of one line
     * @param values the values put into it
     * @return the exception, to be thrown
     */
    public static PixeronException because(Throwable cause, String message, Object... values) {
        return new PixeronException(String.format(message, values), cause);
    }
}
