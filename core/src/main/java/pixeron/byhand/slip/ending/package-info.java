/** Slips at the end of a step: rounding and what becomes of values outside 0–M. */
package pixeron.byhand.slip.ending;
