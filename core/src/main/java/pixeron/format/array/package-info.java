/**
 * Arrays of numbers as programs print and write them: nested brackets, bars, LaTeX rows, printed columns. {@link ArrayText} finds the
 * notation and reads it.
 */
package pixeron.format.array;
