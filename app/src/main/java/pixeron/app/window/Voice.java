package pixeron.app.window;

import java.util.function.Consumer;

/**
 * How actions speak with the user.
 *
 * @param dialogs ask
 * @param banner says what went wrong, until it is closed
 * @param say says in the status line what was done, for a moment
 */
record Voice(Dialogs dialogs, Banner banner, Consumer<String> say) {
}
