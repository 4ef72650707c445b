/** Steps that set pixels: single ones, those of a line, those of a rectangle. All others stay as they are. */
package pixeron.step.drawn;
