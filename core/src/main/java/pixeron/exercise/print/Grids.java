package pixeron.exercise.print;

import java.io.IOException;
import java.util.List;
import java.util.function.Function;
import pixeron.exercise.Part;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.report.pdf.Ink;
import pixeron.report.pdf.PdfPages;

/** Squared paper: grids of numbers and of blanks, and tables, black on white. */
final class Grids {

    /** A cell large enough to write a number of three digits in. */
    static final float BLANK = 28;
    private static final float PRINTED = 22;
    private static final float SMALLEST = 6;
    private static final float MARGIN = 14;
    private static final float TITLE = 30;
    /** Between a title and the head of a table, which has no numbers above it. */
    private static final float TABLE_TITLE = 40;
    private static final float ROW = 22;
    private static final float KEY = 46;
    private static final float FIELD = 74;
    private static final float FIGURE = 10;

    private final PdfPages pages;
    private final Flow flow;

    Grids(PdfPages pages, Flow flow) {
        this.pages = pages;
        this.flow = flow;
    }

    /**
     * What is in a cell.
     *
     * @param text printed in it
     * @param isBlank whether it is to be written in, or was
     */
    record Cell(String text, boolean isBlank) {
    }

    /** Draws a grid with the numbers of its rows and columns around it. */
    void grid(String title, Frame frame, boolean isToFill, Function<Pixel, Cell> cells) throws IOException {
        float side = Math.max(SMALLEST, Math.min(isToFill ? BLANK : PRINTED, Math.min((pages.width() - MARGIN) / frame.columns(),
                (pages.height() - TITLE) / frame.rows())));
        float width = Math.max(MARGIN + side * frame.columns(), titleWidth(title));
        float height = TITLE + side * frame.rows();
        flow.add(width, height, (left, top) -> {
            title(title, left, top);
            pages.open("Table");
            for (int i = 0; i < frame.rows(); i++) {
                pages.open("TR");
                for (int j = 0; j < frame.columns(); j++) {
                    float x = left + MARGIN + j * side;
                    float y = top - TITLE - (i + 1) * side;
                    cell(cells.apply(new Pixel(i, j)), x, y, side, side);
                    if (i == 0) {
                        pages.middle(String.valueOf(j), x + side / 2, y + side + 2.5f, pages.numbers(), Math.min(6.5f, side * 0.4f), Ink.SOFT);
                    }
                }
                pages.right(String.valueOf(i), left + MARGIN - 3, top - TITLE - (i + 0.62f) * side, pages.numbers(), Math.min(6.5f, side * 0.4f), Ink.SOFT);
                pages.shut();
            }
            pages.shut();
        });
    }

    private float titleWidth(String title) throws IOException {
        return title.isEmpty() ? 0 : Math.min(pages.width(), pages.width(title, pages.bold(), FIGURE));
    }

    private void title(String title, float left, float top) throws IOException {
        if (!title.isEmpty()) {
            float size = pages.fitting(title, pages.bold(), FIGURE, pages.width() - left);
            pages.begin("Caption");
            pages.text(title, left, top - 12, pages.bold(), size, Ink.BLACK);
            pages.end();
        }
    }

    private void cell(Cell cell, float x, float y, float width, float height) throws IOException {
        if (!cell.isBlank()) {
            pages.frame(x, y, width, height, Ink.LINE, 0.5f);
        } else {
            pages.frame(x, y, width, height, Ink.BLACK, 0.7f);
        }
        pages.begin("TD");
        if (!cell.text().isEmpty()) {
            float size = pages.fitting(cell.text(), cell.isBlank() ? pages.bold() : pages.numbers(), Math.min(11, height * 0.45f), width - 2);
            pages.middle(cell.text(), x + width / 2, y + height / 2 - size * 0.36f, cell.isBlank() ? pages.bold() : pages.numbers(), size, Ink.BLACK);
        }
        pages.end();
    }

    /** Draws an image as numbers. */
    void image(String title, Image image) throws IOException {
        grid(title, image.frame(), false, pixel -> new Cell(Decimals.cell(image.value(pixel)), false));
    }

    /**
     * Draws a table with its keys.
     *
     * @param isKey whether the right values are in it
     */
    void table(String title, Part.OfTable part, boolean isKey) throws IOException {
        int keys = part.table().keys();
        int columns = part.columns().size();
        float field = Math.min(FIELD, (pages.width() - keys * KEY) / Math.max(1, columns));
        float width = Math.max(keys * KEY + columns * field, titleWidth(title));
        List<Integer> rows = part.rows();
        // A long table goes on in the next column or on the next page.
        int most = Math.max(1, (int) ((pages.height() - TABLE_TITLE) / ROW));
        for (int first = 0; first < rows.size(); first += most) {
            List<Integer> some = rows.subList(first, Math.min(rows.size(), first + most));
            String heading = first == 0 ? title : "";
            flow.add(first == 0 ? width : keys * KEY + columns * field, TABLE_TITLE + ROW * some.size(), (left, top) -> {
                title(heading, left, top);
                pages.open("Table");
                row(left, top - TABLE_TITLE, keys, field, part, -1, isKey);
                for (int n = 0; n < some.size(); n++) {
                    row(left, top - TABLE_TITLE - (n + 1) * ROW, keys, field, part, some.get(n), isKey);
                }
                pages.shut();
            });
        }
    }

    /** @param row of the table; −1 for its head */
    private void row(float left, float bottom, int keys, float field, Part.OfTable part, int row, boolean isKey) throws IOException {
        pages.open("TR");
        for (int k = 0; k < keys; k++) {
            String column = part.table().columns().get(k);
            head(row < 0 ? part.table().kind().column(column) : Decimals.working(part.table().rows().get(row).get(k)), left + k * KEY, bottom, KEY);
        }
        for (int c = 0; c < part.columns().size(); c++) {
            String column = part.columns().get(c);
            float x = left + keys * KEY + c * field;
            if (row < 0) {
                head(part.table().kind().column(column), x, bottom, field);
            } else {
                cell(new Cell(isKey ? part.table().value(row, column).map(Decimals::working).orElse("") : "", part.table().value(row, column).isPresent()),
                        x, bottom, field, ROW);
            }
        }
        pages.shut();
    }

    private void head(String text, float x, float bottom, float width) throws IOException {
        pages.begin("TH");
        float size = pages.fitting(text, pages.words(), 9, width - 4);
        pages.middle(text, x + width / 2, bottom + ROW / 2 - size * 0.36f, pages.words(), size, Ink.BLACK);
        pages.end();
    }
}
