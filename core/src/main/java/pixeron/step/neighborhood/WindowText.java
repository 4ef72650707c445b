package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.working.Line;
import pixeron.working.LoopWriter;
import pixeron.working.Role;
import pixeron.working.Run;

/** The cells of a window as lines of a working. */
public final class WindowText {

    /** The label of a grid of weights. */
    public static final String WEIGHTS = "weights";
    /** The labels of grids of what a step is given; other grids hold terms. */
    public static final Set<String> GIVEN = Set.of("window", WEIGHTS, "turned", "shape");

    private static final int LARGEST_SHOWN = 7;

    private static final int MOST_NAMED = 2;
    /** Not empty: an empty label says that a line goes on behind the one above, and rows of a grid are below each other. */
    private static final String NEXT_ROW = " ";
    /** What is in a cell that does not count. */
    private static final String NOTHING = "·";

    private WindowText() {
    }

    /** Returns whether a grid of this size is written out. */
    public static boolean isShown(int height, int width) {
        return Math.max(height, width) <= LARGEST_SHOWN;
    }

    /** Returns a line for each row of the window; one line of words where it is too large to be written out. */
    static List<Line> lines(Neighborhood around) {
        Window window = around.window();
        if (!isShown(window.height(), window.width())) {
            return List.of(Line.of("window", Run.plain(window.height() + " × " + window.width() + " cells around "
                    + around.pixel())));
        }
        return grid("window", "", window.width(), around.cells(), cell -> {
            String value = cell.value().map(Decimals::working).orElse(NOTHING);
            return cell.isInside() ? Run.before(value) : new Run(cell.value().isEmpty() ? value : "(" + value + ")",
                    Role.OUTSIDE).from(cell.source().map(source -> "from " + source.row() + ", " + source.column())
                            .orElse("outside"));
        }, row -> row.stream().allMatch(Window.Cell::isInside) ? "" : "   outside: " + from(row));
    }

    private static String from(List<Window.Cell> row) {
        List<String> sources = row.stream().filter(cell -> !cell.isInside()).flatMap(cell -> cell.source().stream())
                .map(source -> "(" + source.row() + ", " + source.column() + ")").toList();
        return sources.isEmpty() ? row.stream().filter(cell -> !cell.isInside()).findFirst().orElseThrow().value()
                .map(value -> Decimals.working(value) + " is there").orElse("nothing is there")
                : sources.size() > MOST_NAMED ? "from pixels " + sources.get(0) + " to " + sources.get(sources.size() - 1)
                : "from pixel " + sources.stream().collect(Collectors.joining(", "));
    }

    /**
     * Returns a line for each row.
     *
     * @param note behind the first line
     * @param columns cells in a row
     * @param run a cell as it is read, and where it comes from
     */
    public static <T> List<Line> grid(String label, String note, int columns, List<T> cells, Function<T, Run> run) {
        return grid(label, note, columns, cells, run, row -> "");
    }

    private static <T> List<Line> grid(String label, String note, int columns, List<T> cells, Function<T, Run> run,
            Function<List<T>, String> behind) {
        List<Run> runs = cells.stream().map(run).toList();
        int width = runs.stream().mapToInt(cell -> cell.text().length()).max().orElse(1);
        List<Line> lines = new ArrayList<>();
        for (int from = 0; from < cells.size(); from += columns) {
            List<Run> row = new ArrayList<>();
            for (Run cell : runs.subList(from, from + columns)) {
                row.add(new Run(" ".repeat(width - cell.text().length()) + cell.text() + " ", cell.role(),
                        cell.origin()));
            }
            String words = behind.apply(cells.subList(from, from + columns)) + (from == 0 ? note : "");
            if (!words.isEmpty()) {
                row.add(Run.note(words));
            }
            lines.add(new Line(from == 0 ? label : NEXT_ROW, row, true));
        }
        return lines;
    }

    /** Returns a cell of products: weight × value, with the weight and the value above it. */
    public static Run product(Value weight, Window.Cell cell) {
        return cell.value().map(value -> Run.plain(Decimals.working(weight.times(value)))
                .from(Decimals.working(weight) + " × " + bracketed(value))).orElse(Run.plain(NOTHING));
    }

    /** Returns the number as it is in a product or behind a sign: with brackets where it is negative or a fraction. */
    public static String bracketed(Value value) {
        return value.signum() < 0 || Decimals.isShownAsFraction(value) ? "(" + Decimals.working(value) + ")" : Decimals.working(value);
    }

    /** Returns the same in a line with many numbers, where doubles are written shorter. */
    public static String legible(Value value) {
        return value.signum() < 0 || Decimals.isShownAsFraction(value) ? "(" + Decimals.legible(value) + ")" : Decimals.legible(value);
    }

    /** Sets a and b to where a cell lies, counted from the anchor, and r to what is there. */
    static void place(LoopWriter out, Window window, Window.Cell cell) {
        out.set("a", Decimals.working(cell.row() - window.anchorRow()))
                .set("b", Decimals.working(cell.column() - window.anchorColumn()))
                .set("r", cell.value().map(Decimals::working).orElse("none"));
    }

    /** Returns which cells a loop over a window takes, behind its head. */
    public static String ifInside(Window window) {
        return window.border() == Border.INSIDE ? ", where the cell is inside" : "";
    }
}
