/**
 * Expressions: read from text, evaluated exactly, traced line by line, typeset.
 *
 * <p>One {@link pixeron.formula.Expression} tree serves all: the formula of a step, what a user types as a value by
 * hand, and a formula of one's own. {@link pixeron.formula.Evaluator} gives its value, {@link pixeron.formula.Trace}
 * the lines in between, {@link pixeron.formula.Typeset} its written form; all three go through the same tree, so a
 * working ends in the value that the bulk result has.
 */
package pixeron.formula;
