package pixeron.app.exercise;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.List;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import pixeron.PixeronException;
import pixeron.exercise.Variant;
import pixeron.exercise.print.SheetPages;
import pixeron.report.pdf.Paper;
import pixeron.step.Progress;

/** The first printed page of a variant as a picture: just what comes out of the printer. */
final class PagePicture {

    private static final float DPI = 88;

    private PagePicture() {
    }

    static WritableImage of(Variant variant, Progress progress) {
        byte[] pages = SheetPages.bytes(List.of(variant), Paper.usual(), progress);
        try (PDDocument document = Loader.loadPDF(pages)) {
            BufferedImage page = new PDFRenderer(document).renderImageWithDPI(0, DPI, ImageType.RGB);
            int width = page.getWidth();
            int height = page.getHeight();
            WritableImage picture = new WritableImage(width, height);
            picture.getPixelWriter().setPixels(0, 0, width, height, PixelFormat.getIntArgbInstance(), page.getRGB(0, 0, width, height, null, 0, width), 0, width);
            return picture;
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "Cannot show the page: %s.", trouble.getMessage());
        }
    }
}
