/** Slips with windows: borders, weights, and values that were already written. */
package pixeron.byhand.slip.window;
