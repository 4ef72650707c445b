package pixeron.report;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.text.StringEscapeUtils;
import pixeron.report.Block.Cell;
import pixeron.report.Block.Grid;

/** Writes a report as one HTML file that needs nothing else and prints on paper. */
final class HtmlReport {

    private static final String STYLE = """
            body { font: 15px/1.45 sans-serif; color: #1f2933; max-width: 60em; margin: 2em auto; padding: 0 1em; }
            h1 { font-size: 1.6em; } h2 { font-size: 1.2em; margin-top: 2em; border-top: 1px solid #d5d9de; padding-top: 1em; }
            code, pre, td, table th { font-family: monospace; } pre { margin: .3em 0; }
            .beside { display: flex; flex-wrap: wrap; gap: 1.5em; align-items: flex-start; break-inside: avoid; }
            table { border-collapse: collapse; } caption { text-align: left; font-weight: bold; padding-bottom: .3em; }
            td { border: 1px solid #c4cad1; padding: .15em .4em; text-align: right; min-width: 1.6em; }
            table th { color: #5a6672; font-weight: normal; font-size: .8em; padding: .1em .4em; }
            td.wrong { background: #fbe4df; color: #8c2f1b; font-weight: bold; } td.agrees { color: #2b6a3f; }
            td.follows { background: #eef2f6; } .strong { border-left: 4px solid #b5482f; padding-left: .7em; }
            .parts { background: #fbe9c8; font-weight: bold; } figure { margin: 0; } figcaption { font-weight: bold; }
            @media print { body { margin: 0; max-width: none; } }
            """;

    private HtmlReport() {
    }

    static String of(Report report) {
        String title = report.blocks().stream().filter(Block.Heading.class::isInstance).map(Block.Heading.class::cast)
                .map(Block.Heading::text).findFirst().orElse("Pixeron");
        return "<!DOCTYPE html>\n<html lang=\"en\">\n<head>\n<meta charset=\"utf-8\">\n<title>" + escaped(title) + "</title>\n<style>\n"
                + STYLE + "</style>\n</head>\n<body>\n" + report.blocks().stream().map(HtmlReport::block).collect(Collectors.joining())
                + "</body>\n</html>\n";
    }

    private static String block(Block block) {
        if (block instanceof Block.Heading heading) {
            return String.format(Locale.ROOT, "<h%d>%s</h%1$d>%n", heading.level(), escaped(heading.text()));
        } else if (block instanceof Block.Words words) {
            return "<p" + (words.isStrong() ? " class=\"strong\"" : "") + ">" + escaped(words.text()) + "</p>\n";
        } else if (block instanceof Block.Code code) {
            return "<p><code>" + escaped(code.text()) + "</code></p>\n";
        } else if (block instanceof Block.Grids grids) {
            return beside(grids.grids().stream().map(HtmlReport::grid).toList());
        } else if (block instanceof Block.Workings workings) {
            return beside(workings.workings().stream().map(HtmlReport::work).toList());
        }
        Block.Listing listing = (Block.Listing) block;
        return "<table>\n<tr>" + listing.columns().stream().map(column -> "<th scope=\"col\">" + escaped(column) + "</th>")
                .collect(Collectors.joining()) + "</tr>\n" + listing.rows().stream().map(row -> "<tr>" + cells(row) + "</tr>\n")
                        .collect(Collectors.joining()) + "</table>\n";
    }

    private static String beside(List<String> parts) {
        return "<div class=\"beside\">\n" + String.join("", parts) + "</div>\n";
    }

    private static String grid(Grid grid) {
        int columns = grid.rows().isEmpty() ? 0 : grid.rows().get(0).size();
        return "<table><caption>" + escaped(grid.title()) + "</caption>\n<tr><th></th>" + IntStream.range(0, columns)
                .mapToObj(j -> "<th scope=\"col\">" + (grid.firstColumn() + j) + "</th>").collect(Collectors.joining()) + "</tr>\n"
                + IntStream.range(0, grid.rows().size()).mapToObj(i -> "<tr><th scope=\"row\">" + (grid.firstRow() + i) + "</th>"
                        + cells(grid.rows().get(i)) + "</tr>\n").collect(Collectors.joining()) + "</table>\n";
    }

    private static String cells(List<Cell> row) {
        return row.stream().map(cell -> "<td" + style(cell.mark()) + ">" + escaped(cell.text()) + cell.mark().sign() + "</td>")
                .collect(Collectors.joining());
    }

    private static String style(Mark mark) {
        return mark.isWrong() ? " class=\"wrong\"" : mark == Mark.NONE ? "" : " class=\"" + mark.name().toLowerCase(Locale.ROOT) + "\"";
    }

    private static String work(Block.Work work) {
        return "<figure><figcaption>" + escaped(work.title()) + "</figcaption>\n<pre>" + IntStream.range(0, work.lines().size())
                .mapToObj(n -> n == work.partsAt() ? "<span class=\"parts\">▸ " + escaped(work.lines().get(n)) + "</span>"
                        : "  " + escaped(work.lines().get(n))).collect(Collectors.joining("\n")) + "</pre></figure>\n";
    }

    private static String escaped(String text) {
        return StringEscapeUtils.escapeHtml4(text).replace("&times;", "×").replace("&divide;", "÷");
    }
}
