package pixeron.working;

import java.util.List;

/**
 * A moment in a {@link Loop}: which line was just done, and what the variables hold.
 *
 * @param row the line of the loop, from 0
 * @param variables in the order in which they first got a value
 * @param cells how many cells of the window were taken so far; 0 for steps without one
 */
public record Moment(int row, List<Variable> variables, int cells) {

    /**
     * A variable with its value.
     *
     * @param name as in the loop
     * @param value as it is read
     */
    public record Variable(String name, String value) {
    }

    public Moment {
        variables = List.copyOf(variables);
    }
}
