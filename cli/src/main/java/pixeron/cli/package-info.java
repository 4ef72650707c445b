/**
 * The command line: the same core without a window, for scripts and whole classes. Nothing here loads a window toolkit.
 *
 * <p>One class a command. Exit code 0: done, all agree; 1: something differs; 2: invalid command or input; the message is one
 * line on standard error.
 */
package pixeron.cli;
