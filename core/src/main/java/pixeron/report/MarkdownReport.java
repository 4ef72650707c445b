package pixeron.report;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import pixeron.report.Block.Cell;
import pixeron.report.Block.Grid;

/** Writes a report as Markdown: grids and tables as tables, marks behind the values. */
final class MarkdownReport {

    private MarkdownReport() {
    }

    static String of(Report report) {
        return report.blocks().stream().map(MarkdownReport::block).collect(Collectors.joining("\n"));
    }

    private static String block(Block block) {
        if (block instanceof Block.Heading heading) {
            return "#".repeat(heading.level()) + " " + heading.text() + "\n";
        } else if (block instanceof Block.Words words) {
            return (words.isStrong() ? "**" + words.text() + "**" : words.text()) + "\n";
        } else if (block instanceof Block.Code code) {
            return "    " + code.text() + "\n";
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
        return grid.title() + "\n\n" + table(head, rows);
    }

    private static String table(List<String> head, List<List<Cell>> rows) {
        return "| " + String.join(" | ", head) + " |\n|" + "---:|".repeat(head.size()) + "\n" + rows.stream().map(row -> "| "
                + row.stream().map(cell -> escaped(cell.text()) + (cell.mark().sign().isEmpty() ? "" : " " + cell.mark().sign()))
                        .collect(Collectors.joining(" | ")) + " |\n").collect(Collectors.joining());
    }

    private static String escaped(String text) {
        return text.replace("|", "\\|");
    }

    private static String work(Block.Work work) {
        return work.title() + "\n\n```\n" + IntStream.range(0, work.lines().size()).mapToObj(n ->
                (n == work.partsAt() ? "▸ " : "  ") + work.lines().get(n) + "\n").collect(Collectors.joining()) + "```\n";
    }
}
