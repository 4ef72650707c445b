package pixeron.step;

import java.util.List;
import java.util.function.IntFunction;
import pixeron.number.Value;

/**
 * A row of a table up to which a step goes, such as the last singular value that is kept.
 *
 * @param row of the table, from 0
 * @param share the column that says how far the rows up to there reach
 * @param errors for each row the mean squared error of the result that goes up to there, before it is rounded
 * @param taking the step when another row is taken
 */
public record TableChoice(int row, String share, List<Value> errors, IntFunction<Step> taking) {

    public TableChoice {
        errors = List.copyOf(errors);
    }
}
