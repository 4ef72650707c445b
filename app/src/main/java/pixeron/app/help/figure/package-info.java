/** Draws the figures of the pages with the painters of the bench. */
package pixeron.app.help.figure;
