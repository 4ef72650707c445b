package pixeron.step.neighborhood;

import java.util.List;
import pixeron.loop.Statement;

/**
 * What a reduction does in a program.
 *
 * @param once before the loop over all pixels
 * @param start before the cells of a window
 * @param each for each cell, whose value is v and whose place in the window (a, b)
 * @param end after all cells; gives the number its name
 */
public record Reduced(List<Statement> once, List<Statement> start, List<Statement> each, List<Statement> end) {
}
