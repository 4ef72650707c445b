/** The window around the bench: opening view, top bar and menu, files, dialogs, messages. */
package pixeron.app.window;
