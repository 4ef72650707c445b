package pixeron.report;

import java.io.IOException;
import java.util.List;
import pixeron.report.Block.Cell;
import pixeron.report.Block.Grid;
import pixeron.report.pdf.Ink;
import pixeron.report.pdf.Paper;
import pixeron.report.pdf.PdfPages;

/** Writes a report as pages of A4: blocks one below the other, a new page where one does not fit. */
final class PdfReport {

    private static final float GAP = 10;
    private static final float LARGEST_CELL = 26;
    private static final float SMALLEST_CELL = 15;
    private static final float HEAD = 11;

    private final PdfPages pages;

    private PdfReport(PdfPages pages) {
        this.pages = pages;
    }

    static byte[] of(Report report) throws IOException {
        try (PdfPages pages = written(report)) {
            return pages.bytes();
        }
    }

    static int pages(Report report) throws IOException {
        try (PdfPages pages = written(report)) {
            return pages.count();
        }
    }

    private static PdfPages written(Report report) throws IOException {
        String title = report.blocks().stream().filter(Block.Heading.class::isInstance).map(block -> ((Block.Heading) block).text()).findFirst().orElse("Report");
        PdfPages pages = new PdfPages(Paper.A4, title);
        PdfReport writer = new PdfReport(pages);
        for (Block block : report.blocks()) {
            writer.write(block);
        }
        return pages;
    }

    private void write(Block block) throws IOException {
        if (block instanceof Block.Heading heading) {
            pages.space(heading.level() == 1 ? 0 : 14);
            // A title never is alone at the foot of a page.
            pages.require(heading.level() == 3 ? 80 : 150);
            pages.begin("H" + heading.level());
            pages.paragraph(heading.text(), pages.bold(), 18 - 3 * heading.level(), Ink.TEXT, 0);
            pages.end();
        } else if (block instanceof Block.Words words) {
            float indent = words.isStrong() ? 9 : 0;
            float top = pages.y();
            int page = pages.count();
            pages.begin("P");
            pages.paragraph(words.text(), pages.words(), 9.5f, Ink.TEXT, indent);
            pages.end();
            if (words.isStrong() && page == pages.count()) {
                pages.fill(0, pages.y() + 2, 3, top - pages.y() - 2, Ink.WRONG);
            }
        } else if (block instanceof Block.Code code) {
            pages.paragraph(code.text(), pages.numbers(), 9, Ink.SOFT, 0);
        } else if (block instanceof Block.Grids grids) {
            grids(grids.grids());
        } else if (block instanceof Block.Workings workings) {
            workings(workings.workings());
        } else if (block instanceof Block.Listing listing) {
            listing(listing);
        }
        pages.space(5);
    }

    /** As many grids beside each other as fit, the others below. */
    private void grids(List<Grid> grids) throws IOException {
        int columns = grids.stream().mapToInt(grid -> grid.rows().isEmpty() ? 0 : grid.rows().get(0).size()).max().orElse(0);
        int perLine = grids.size();
        while (perLine > 1 && cellWidth(columns, perLine) < SMALLEST_CELL) {
            perLine--;
        }
        float width = Math.min(LARGEST_CELL, cellWidth(columns, perLine));
        for (int n = 0; n < grids.size(); n += perLine) {
            List<Grid> line = grids.subList(n, Math.min(grids.size(), n + perLine));
            int rows = line.stream().mapToInt(grid -> grid.rows().size()).max().orElse(0);
            float cellHeight = Math.min(width, 20);
            pages.require(rows * cellHeight + 2 * HEAD + 6);
            for (int k = 0; k < line.size(); k++) {
                grid(line.get(k), k * (columns * width + HEAD + GAP), width, cellHeight);
            }
            pages.space(rows * cellHeight + 2 * HEAD + 6);
        }
    }

    private float cellWidth(int columns, int perLine) {
        return (pages.width() - (perLine - 1) * GAP) / perLine / Math.max(1, columns) - HEAD / Math.max(1, columns);
    }

    private void grid(Grid grid, float left, float width, float height) throws IOException {
        pages.text(grid.title(), left, pages.y() - HEAD, pages.bold(), 9, Ink.TEXT);
        float top = pages.y() - 2 * HEAD - 2;
        pages.open("Table");
        for (int i = 0; i < grid.rows().size(); i++) {
            List<Cell> row = grid.rows().get(i);
            pages.open("TR");
            pages.begin("TH");
            pages.right(String.valueOf(grid.firstRow() + i), left + HEAD - 3, top - i * height - height * 0.65f, pages.numbers(), 5.5f,
                    Ink.SOFT);
            pages.end();
            for (int j = 0; j < row.size(); j++) {
                if (i == 0) {
                    pages.begin("TH");
                    pages.middle(String.valueOf(grid.firstColumn() + j), left + HEAD + (j + 0.5f) * width, top + 3, pages.numbers(),
                            5.5f, Ink.SOFT);
                    pages.end();
                }
                cell(row.get(j), left + HEAD + j * width, top - (i + 1) * height, width, height);
            }
            pages.shut();
        }
        pages.shut();
    }

    private void cell(Cell cell, float left, float bottom, float width, float height) throws IOException {
        Mark mark = cell.mark();
        if (mark.isWrong() || mark == Mark.FOLLOWS) {
            pages.fill(left, bottom, width, height, mark.isWrong() ? Ink.WRONG_GROUND : Ink.GROUND);
        }
        pages.frame(left, bottom, width, height);
        Ink ink = mark.isWrong() ? Ink.WRONG : Ink.TEXT;
        float size = pages.fitting(cell.text(), pages.numbers(), 8.5f, width - (mark == Mark.NONE ? 3 : 8));
        float middle = left + width / 2 - (mark == Mark.NONE ? 0 : 2.5f);
        pages.begin("TD");
        pages.middle(cell.text(), middle, bottom + height / 2 - size * 0.35f, pages.numbers(), size, ink);
        if (mark != Mark.NONE) {
            pages.right(mark.sign(), left + width - 1.5f, bottom + 2.5f, pages.words(), 5.5f, mark == Mark.AGREES ? Ink.RIGHT : ink);
        }
        pages.end();
    }

    private void workings(List<Block.Work> workings) throws IOException {
        float width = (pages.width() - (workings.size() - 1) * GAP) / workings.size();
        int lines = workings.stream().mapToInt(work -> work.lines().size()).max().orElse(0);
        float height = 9.5f;
        pages.require((lines + 1) * height + 8);
        for (int k = 0; k < workings.size(); k++) {
            Block.Work work = workings.get(k);
            float left = k * (width + GAP);
            pages.text(work.title(), left, pages.y() - 9, pages.bold(), 8.5f, Ink.TEXT);
            int longest = work.lines().stream().mapToInt(String::length).max().orElse(1);
            float size = pages.fitting("0".repeat(longest + 2), pages.numbers(), 7.5f, width);
            for (int n = 0; n < work.lines().size(); n++) {
                float bottom = pages.y() - 9 - (n + 1) * height;
                boolean isParting = n == work.partsAt();
                if (isParting) {
                    pages.fill(left, bottom - 2.5f, width, height, Ink.PARTING_GROUND);
                }
                pages.text((isParting ? "▸ " : "  ") + work.lines().get(n), left, bottom, pages.numbers(), size, Ink.TEXT);
            }
        }
        pages.space((lines + 1) * height + 8);
    }

    private void listing(Block.Listing listing) throws IOException {
        float width = Math.min(70, pages.width() / listing.columns().size());
        pages.open("Table");
        row(listing.columns().stream().map(Cell::plain).toList(), width, true);
        for (List<Cell> row : listing.rows()) {
            row(row, width, false);
        }
        pages.shut();
    }

    private void row(List<Cell> row, float width, boolean isHead) throws IOException {
        float height = 14;
        pages.require(height);
        pages.open("TR");
        for (int j = 0; j < row.size(); j++) {
            if (isHead) {
                float size = pages.fitting(row.get(j).text(), pages.bold(), 8, width - 4);
                pages.begin("TH");
                pages.right(row.get(j).text(), (j + 1) * width - 3, pages.y() - 10, pages.bold(), size, Ink.SOFT);
                pages.end();
            } else {
                cell(row.get(j), j * width, pages.y() - height, width, height);
            }
        }
        pages.shut();
        pages.space(height);
    }
}
