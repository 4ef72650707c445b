package pixeron.format;

import java.util.List;
import java.util.stream.Collectors;

/** How a table with a head is written as text, for lecture notes and other programs. */
public enum TableText {
    TABS("text with tabs"), CSV("CSV"), MARKDOWN("Markdown table"), LATEX("LaTeX table");

    private final String title;

    TableText(String title) {
        this.title = title;
    }

    /** Returns its name for people. */
    public String title() {
        return title;
    }

    /**
     * Returns the text of a table, with a line end after its last line.
     *
     * @param rows the names of the columns, then the rows, all of the same length
     */
    public String write(List<List<String>> rows) {
        return switch (this) {
            case TABS -> lines(rows, "", "\t", "\n");
            case CSV -> ResultTable.text(rows).replace("\r\n", "\n");
            case MARKDOWN -> lines(escaped(rows.subList(0, 1), "|"), "| ", " | ", " |\n") + "|" + "---:|".repeat(rows.get(0).size()) + "\n"
                    + lines(escaped(rows.subList(1, rows.size()), "|"), "| ", " | ", " |\n");
            case LATEX -> "\\begin{tabular}{" + "r".repeat(rows.get(0).size()) + "}\n" + lines(escaped(rows.subList(0, 1), "&%#_$"), "", " & ", " \\\\\n") + "\\hline\n"
                    + lines(escaped(rows.subList(1, rows.size()), "&%#_$"), "", " & ", " \\\\\n") + "\\end{tabular}\n";
        };
    }

    private static String lines(List<List<String>> rows, String begin, String between, String end) {
        return rows.stream().map(row -> begin + String.join(between, row) + end).collect(Collectors.joining());
    }

    /** With a backslash before each sign that means something else. */
    private static List<List<String>> escaped(List<List<String>> rows, String signs) {
        return rows.stream().map(row -> row.stream().map(cell -> cell.replaceAll("[" + signs + "]", "\\\\$0")).toList()).toList();
    }
}
