package pixeron.working;

import java.util.Map;
import java.util.Optional;

/**
 * What a table is and what its columns are called.
 *
 * @param name its name in written results: one word
 * @param title its name for people
 * @param columns names of columns for people, where they are not those of written results
 * @param plotted the column that is worth a plot over the first one; empty where none is
 */
public record TableKind(String name, String title, Map<String, String> columns, Optional<String> plotted) {

    public TableKind {
        columns = Map.copyOf(columns);
    }

    /** Returns a kind whose columns are called as in written results. */
    public static TableKind of(String name, String title) {
        return new TableKind(name, title, Map.of(), Optional.empty());
    }

    /** Returns this with names of columns for people. */
    public TableKind with(Map<String, String> words) {
        return new TableKind(name, title, words, plotted);
    }

    /** Returns this with a column that is worth a plot. */
    public TableKind plotting(String column) {
        return new TableKind(name, title, columns, Optional.of(column));
    }

    /** Returns a column's name for people. */
    public String column(String column) {
        return columns.getOrDefault(column, column);
    }

    /** Returns the name of a column in a formula: the letter at the end of its title, such as C in "cumulative C", or its title if that is one word. */
    public String symbol(String column) {
        String title = column(column);
        String last = title.substring(title.lastIndexOf(' ') + 1);
        return last.length() == 1 || last.equals(title) ? last : column;
    }
}
