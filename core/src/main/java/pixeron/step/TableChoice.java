package pixeron.step;

import java.util.function.IntFunction;

/**
 * A row of a table up to which a step goes, such as the last singular value that is kept.
 *
 * @param row of the table, from 0
 * @param share the column that says how far the rows up to there reach
 * @param taking the step when another row is taken
 */
public record TableChoice(int row, String share, IntFunction<Step> taking) {
}
