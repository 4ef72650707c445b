/** An image as a sum of few patterns, each a column times a row. */
package pixeron.step.lowrank;
