/**
 * Steps that move values: a place of the result is calculated backwards to the place of the image before that it takes its
 * value from. The formulas of row and column are written down once, in {@link pixeron.step.geometry.Places}; result,
 * working, loop and sources come from them.
 */
package pixeron.step.geometry;
