package pixeron.report;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.Harmless;
import pixeron.report.Block.Cell;
import pixeron.report.Block.Grid;

/** Writes a report as Markdown: grids and tables as tables, marks behind the values. */
final class MarkdownReport {

    private static final Pattern TAG = Pattern.compile("<(?=[A-Za-z/!?])");
    private static final Pattern LINK = Pattern.compile("](?=[(\\[:])");

    private MarkdownReport() {
    }

    static String of(Report report) {
        return report.blocks().stream().map(MarkdownReport::block).collect(Collectors.joining("\n"));
    }

    private static String block(Block block) {
        if (block instanceof Block.Heading heading) {
            return "#".repeat(heading.level()) + " " + plain(heading.text()) + "\n";
        } else if (block instanceof Block.Words words) {
            return (words.isStrong() ? "**" + plain(words.text()) + "**" : plain(words.text())) + "\n";
        } else if (block instanceof Block.Code code) {
            return "    " + Harmless.shown(code.text()) + "\n";
        } else if (block instanceof Block.Grids grids) {
            return grids.grids().stream().map(MarkdownReport::grid).collect(Collectors.joining("\n"));
        } else if (block instanceof Block.Workings workings) {
            return workings.workings().stream().map(MarkdownReport::work).collect(Collectors.joining("\n"));
        }
        Block.Listing listing = (Block.Listing) block;
        return table(listing.columns(), listing.rows());
    }

    private static String grid(Grid grid) {
        int columns = grid.rows().isEmpty() ? 0 : grid.rows().get(0).size();
        List<String> head = IntStream.rangeClosed(-1, columns - 1).mapToObj(j -> j < 0 ? " "
                : String.valueOf(grid.firstColumn() + j)).toList();
        List<List<Cell>> rows = IntStream.range(0, grid.rows().size()).mapToObj(i -> {
            List<Cell> row = new java.util.ArrayList<>(List.of(Cell.plain("**" + (grid.firstRow() + i) + "**")));
            row.addAll(grid.rows().get(i));
            return List.copyOf(row);
        }).toList();
        return plain(grid.title()) + "\n\n" + table(head, rows);
    }

    private static String table(List<String> head, List<List<Cell>> rows) {
        return "| " + head.stream().map(MarkdownReport::escaped).collect(Collectors.joining(" | ")) + " |\n|" + "---:|".repeat(head.size()) + "\n" + rows.stream().map(row -> "| "
                + row.stream().map(cell -> escaped(cell.text()) + (cell.mark().sign().isEmpty() ? "" : " " + cell.mark().sign()))
                        .collect(Collectors.joining(" | ")) + " |\n").collect(Collectors.joining());
    }

    private static String escaped(String text) {
        return plain(text).replace("|", "\\|");
    }

    /** Names of files, people and steps stay words: they begin no tag, no link and no new line. */
    private static String plain(String text) {
        return LINK.matcher(TAG.matcher(Harmless.shown(text)).replaceAll("&lt;")).replaceAll("\\\\]");
    }

    private static String work(Block.Work work) {
        return plain(work.title()) + "\n\n```\n" + IntStream.range(0, work.lines().size()).mapToObj(n ->
                (n == work.partsAt() ? "▸ " : "  ") + Harmless.shown(work.lines().get(n)).replace("```", "'''") + "\n").collect(Collectors.joining()) + "```\n";
    }
}
