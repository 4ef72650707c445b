package pixeron.working;

import java.util.List;

/**
 * What is done for one pixel, as loops in plain words: a line for each thing that is done, in order.
 *
 * @param rows the lines
 */
public record Loop(List<Row> rows) {

    /**
     * One line of a loop.
     *
     * @param depth how many loops it is in, from 0
     * @param text what is done: {@code sum ← sum + w × before[i+a][j+b]}
     */
    public record Row(int depth, String text) {
    }

    public Loop {
        rows = List.copyOf(rows);
    }
}
