package pixeron.exercise.print;

import java.io.IOException;
import java.util.List;
import pixeron.PixeronException;
import pixeron.exercise.Variant;
import pixeron.report.pdf.Paper;
import pixeron.report.pdf.PdfPages;
import pixeron.step.Progress;

/** A document about several variants, each of which begins on a page of its own. */
final class VariantPages {

    private VariantPages() {
    }

    /** Writes the findings about a variant. */
    interface Writer {
        void write(PdfPages pages, Variant variant) throws IOException;
    }

    /**
     * Returns the document as a file.
     *
     * @param what is made, for an error
     */
    static byte[] bytes(String what, String title, List<Variant> variants, Paper paper, Progress progress, Writer writer) {
        try (PdfPages pages = new PdfPages(paper, title)) {
            for (int n = 0; n < variants.size(); n++) {
                progress.report((double) n / variants.size());
                if (n > 0) {
                    // What runs above the pages is that of the variant before.
                    pages.running("");
                    pages.turn();
                }
                writer.write(pages, variants.get(n));
            }
            return pages.bytes();
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "Cannot create the %s: %s.", what, trouble.getMessage());
        }
    }
}
