package pixeron.exercise.print;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.chain.Stage;
import pixeron.exercise.Asked;
import pixeron.exercise.Part;
import pixeron.exercise.Variant;
import pixeron.format.SafeFile;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.report.pdf.Ink;
import pixeron.report.pdf.Paper;
import pixeron.report.pdf.PdfPages;
import pixeron.step.Progress;
import pixeron.step.Step;

/** The pages that are handed out: task, image as numbers, steps, and blanks large enough to write in, with the code on each. */
public final class SheetPages {

    private static final float CODE = 15;

    private final PdfPages pages;

    private SheetPages(PdfPages pages) {
        this.pages = pages;
    }

    /**
     * Writes worksheets.
     *
     * @param file gets one or more pages for each variant
     * @param variants of one exercise, at least one
     * @throws PixeronException if the file cannot be written
     */
    public static void write(Path file, List<Variant> variants, Paper paper, Progress progress) {
        byte[] bytes = bytes(variants, paper, progress);
        SafeFile.write(file, out -> out.write(bytes));
    }

    /** Returns the pages as a file. */
    public static byte[] bytes(List<Variant> variants, Paper paper, Progress progress) {
        return VariantPages.bytes("sheets", variants.get(0).exercise().title(), variants, paper, progress, (pages, variant) -> new SheetPages(pages).add(variant));
    }

    private void add(Variant variant) throws IOException {
        head(pages, variant);
        float line = pages.y() - 14;
        pages.text("Name", 0, line, pages.words(), 10, Ink.BLACK);
        pages.line(32, line - 2, pages.width() * 0.55f);
        pages.text("Date", pages.width() * 0.68f, line, pages.words(), 10, Ink.BLACK);
        pages.line(pages.width() * 0.68f + 28, line - 2, pages.width() * 0.32f - 28);
        pages.space(34);
        if (!variant.task().isBlank()) {
            pages.begin("P");
            pages.paragraph(variant.task(), pages.words(), 11, Ink.BLACK, 0);
            pages.end();
            pages.space(6);
        }
        steps(pages, variant);
        Flow flow = new Flow(pages);
        Grids grids = new Grids(pages, flow);
        images(grids, variant);
        List<Part> parts = variant.parts();
        for (int n = 0; n < parts.size(); n++) {
            blank(grids, n + 1, parts.get(n));
        }
        flow.end();
    }

    static void head(PdfPages pages, Variant variant) throws IOException {
        String code = variant.code().toString();
        pages.right(code, pages.width(), pages.y() - CODE, pages.numbers(), CODE, Ink.BLACK);
        String title = variant.exercise().title();
        float size = pages.fitting(title, pages.bold(), 16, pages.width() - pages.width(code, pages.numbers(), CODE) - 20);
        pages.begin("H1");
        pages.text(title, 0, pages.y() - CODE, pages.bold(), size, Ink.BLACK);
        pages.end();
        pages.space(CODE + 12);
        // What goes on on another page may come apart from this one.
        pages.running(code);
    }

    /** Each step with its formula and its line. */
    static void steps(PdfPages pages, Variant variant) throws IOException {
        for (Stage stage : variant.chain().stages()) {
            Step step = stage.link().step();
            pages.begin("P");
            pages.paragraph("Step " + (stage.position() + 1) + ": " + Variant.words(step), pages.words(), 10, Ink.BLACK, 0);
            pages.paragraph(step.line(), pages.numbers(), 8.5f, Ink.SOFT, 0);
            pages.end();
            pages.space(3);
        }
        pages.space(6);
    }

    static void images(Grids grids, Variant variant) throws IOException {
        for (Result.Face face : variant.chain().input().faces()) {
            grids.image(variant.title(face), face.image());
        }
    }

    private static void blank(Grids grids, int number, Part part) throws IOException {
        String title = title(number, part);
        if (part instanceof Part.OfCells cells) {
            Set<Pixel> asked = Set.copyOf(cells.pixels());
            grids.grid(title, part.operation().frame(), true, pixel -> new Grids.Cell("", asked.contains(pixel)));
        } else {
            grids.table(title, (Part.OfTable) part, false);
        }
    }

    /** Returns the number of a part, what it is, and what it is worth. */
    static String title(int number, Part part) {
        return number + ". " + part.title() + "  (" + Asked.worth(part.asked().points()) + ")";
    }
}
