package pixeron.exercise.print;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.byhand.slip.SlipTitles;
import pixeron.exercise.Part;
import pixeron.exercise.SlipValues;
import pixeron.exercise.Variant;
import pixeron.format.SafeFile;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.report.pdf.Ink;
import pixeron.report.pdf.Paper;
import pixeron.report.pdf.PdfPages;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.working.Line;
import pixeron.working.Working;

/** The key: for each variant what is right, the workings of chosen cells, and what typical slips would give there. */
public final class KeyPages {

    private static final int MOST_SLIPS = 6;
    private static final float LINE = 10.5f;

    private final PdfPages pages;

    private KeyPages(PdfPages pages) {
        this.pages = pages;
    }

    /**
     * Writes an answer key.
     *
     * @param file gets the key of all variants
     * @throws PixeronException if the file cannot be written
     */
    public static void write(Path file, List<Variant> variants, Paper paper, Progress progress) {
        byte[] bytes = VariantPages.bytes("key", "Key: " + variants.get(0).exercise().title(), variants, paper, progress, (pages, variant) -> new KeyPages(pages).add(variant));
        SafeFile.write(file, out -> out.write(bytes));
    }

    private void add(Variant variant) throws IOException {
        SheetPages.head(pages, variant);
        pages.text("Key", 0, pages.y() - 8, pages.bold(), 11, Ink.BLACK);
        pages.space(20);
        SheetPages.steps(pages, variant);
        Flow flow = new Flow(pages);
        Grids grids = new Grids(pages, flow);
        SheetPages.images(grids, variant);
        List<Part> parts = variant.parts();
        for (int n = 0; n < parts.size(); n++) {
            right(grids, n + 1, parts.get(n));
        }
        flow.end();
        for (Part part : parts) {
            if (part instanceof Part.OfCells cells) {
                SlipValues slips = new SlipValues(part.operation());
                for (Pixel pixel : chosen(cells)) {
                    working(part.operation(), pixel, slips);
                }
            }
        }
    }

    private static void right(Grids grids, int number, Part part) throws IOException {
        String title = SheetPages.title(number, part);
        if (part instanceof Part.OfCells cells) {
            Set<Pixel> asked = Set.copyOf(cells.pixels());
            grids.grid(title, part.operation().frame(), false, pixel -> new Grids.Cell(asked.contains(pixel) ? Decimals.cell(part.operation().value(pixel)) : "",
                    asked.contains(pixel)));
        } else {
            grids.table(title, (Part.OfTable) part, true);
        }
    }

    /** The first cell, and the first that is rounded or clipped where that one is not. */
    private static List<Pixel> chosen(Part.OfCells part) {
        List<Pixel> chosen = new ArrayList<>(List.of(part.pixels().get(0)));
        part.pixels().stream().filter(pixel -> part.operation().exact(pixel).compareValue(part.operation().value(pixel)) != 0).findFirst()
                .filter(pixel -> !chosen.contains(pixel)).ifPresent(chosen::add);
        return chosen;
    }

    private void working(Operation operation, Pixel pixel, SlipValues slips) throws IOException {
        Working working = operation.explain(pixel);
        List<SlipValues.SlipValue> typical = slips.at(pixel, MOST_SLIPS);
        pages.require(LINE * (working.lines().size() + typical.size() + 3));
        pages.begin("H2");
        pages.paragraph("Working, " + operation.step().type().title().toLowerCase(Locale.ROOT) + ", " + pixel, pages.bold(), 10, Ink.BLACK, 0);
        pages.end();
        for (Line line : working.lines()) {
            // A paragraph would close up the blanks that set one line under the other.
            String text = String.format("%-10s %s", line.label(), line.text());
            pages.text(text, 0, pages.y() - 8, pages.numbers(), pages.fitting(text, pages.numbers(), 8, pages.width()), Ink.BLACK);
            pages.space(LINE);
        }
        if (!typical.isEmpty()) {
            pages.space(3);
            pages.paragraph("Common wrong values for this cell:", pages.words(), 9, Ink.BLACK, 0);
            for (SlipValues.SlipValue slip : typical) {
                pages.paragraph(Decimals.working(slip.value()) + " when " + slip.words() + " (" + SlipTitles.of(slip.id()) + ")", pages.words(), 8.5f, Ink.BLACK, 10);
            }
        }
        pages.space(8);
    }
}
