package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.working.Line;
import pixeron.working.Run;

/** The cells of a window as lines of a working. */
final class WindowText {

    private static final int LARGEST_SHOWN = 7;

    private static final int MOST_NAMED = 2;
    /** Not empty: an empty label says that a line goes on behind the one above, and rows of a grid stand below each other. */
    private static final String NEXT_ROW = " ";

    private WindowText() {
    }

    /** @return a line for each row of the window; one line of words where it is too large to be written out */
    static List<Line> lines(Window window, Image image, Pixel pixel) {
        if (Math.max(window.height(), window.width()) > LARGEST_SHOWN) {
            return List.of(Line.of("window", Run.plain(window.height() + " × " + window.width() + " cells around "
                    + pixel)));
        }
        List<Window.Cell> cells = window.cells(image, pixel);
        int width = cells.stream().mapToInt(cell -> text(cell).length()).max().orElse(1);
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < window.height(); i++) {
            List<Run> runs = new ArrayList<>();
            boolean hasOutside = false;
            for (Window.Cell cell : cells.subList(i * window.width(), (i + 1) * window.width())) {
                String text = text(cell);
                String padded = " ".repeat(width - text.length()) + text + " ";
                runs.add(cell.isInside() ? Run.before(padded) : Run.plain(padded));
                hasOutside |= !cell.isInside();
            }
            if (hasOutside) {
                runs.add(Run.note("   outside: " + from(cells.subList(i * window.width(), (i + 1) * window.width()))));
            }
            lines.add(new Line(i == 0 ? "window" : NEXT_ROW, runs));
        }
        return lines;
    }

    private static String text(Window.Cell cell) {
        String value = cell.value().map(Decimals::working).orElse("·");
        return cell.isInside() || cell.value().isEmpty() ? value : "(" + value + ")";
    }

    private static String from(List<Window.Cell> row) {
        List<String> sources = row.stream().filter(cell -> !cell.isInside()).flatMap(cell -> cell.source().stream())
                .map(source -> source.row() + ", " + source.column()).toList();
        return sources.isEmpty() ? row.stream().filter(cell -> !cell.isInside()).findFirst().orElseThrow().value()
                .map(value -> Decimals.working(value) + " stands there").orElse("nothing stands there")
                : sources.size() > MOST_NAMED ? "from pixels " + sources.get(0) + " … " + sources.get(sources.size() - 1)
                : "from pixel " + sources.stream().collect(Collectors.joining("; "));
    }

    /** @return the weights as they lie on the image */
    static List<Line> weights(Weights weights, boolean isTurned) {
        if (Math.max(weights.height(), weights.width()) > LARGEST_SHOWN) {
            return List.of();
        }
        List<List<String>> cells = weights.rows().stream().map(row -> row.stream().map(Decimals::working).toList()).toList();
        return grid(isTurned ? "turned" : "weights", cells, isTurned ? "   turned by 180°" : "");
    }

    /** @return weight times value for every cell that counts */
    static List<Line> products(Weights weights, List<Window.Cell> cells) {
        if (Math.max(weights.height(), weights.width()) > LARGEST_SHOWN) {
            return List.of();
        }
        List<List<String>> products = new ArrayList<>();
        for (int i = 0; i < weights.height(); i++) {
            List<String> row = new ArrayList<>();
            for (Window.Cell cell : cells.subList(i * weights.width(), (i + 1) * weights.width())) {
                row.add(cell.value().map(value -> Decimals.working(weights.at(cell.row(), cell.column()).times(value)))
                        .orElse("·"));
            }
            products.add(row);
        }
        return grid("w·r", products, "");
    }

    private static List<Line> grid(String label, List<List<String>> cells, String note) {
        int width = cells.stream().flatMap(List::stream).mapToInt(String::length).max().orElse(1);
        List<Line> lines = new ArrayList<>();
        for (List<String> row : cells) {
            String text = row.stream().map(cell -> " ".repeat(width - cell.length()) + cell).collect(Collectors.joining("  "));
            lines.add(Line.of(lines.isEmpty() ? label : NEXT_ROW, Run.plain(text), Run.note(lines.isEmpty() ? note : "")));
        }
        return lines;
    }
}
