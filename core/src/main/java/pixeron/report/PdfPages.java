package pixeron.report;

import java.io.IOException;
import java.io.InputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** Pages of A4 that are written from top to bottom. Lengths are points, x is counted from the left margin, y upwards. */
final class PdfPages {

    private static final float MARGIN = 48;

    /** The width between the margins. */
    static final float WIDTH = PDRectangle.A4.getWidth() - 2 * MARGIN;

    /** The few colours; each also has a sign or a place that says the same. */
    enum Ink {
        TEXT(0.12f, 0.16f, 0.20f), SOFT(0.38f, 0.43f, 0.48f), LINE(0.77f, 0.79f, 0.82f), WRONG(0.60f, 0.22f, 0.13f),
        WRONG_GROUND(0.98f, 0.90f, 0.87f), RIGHT(0.17f, 0.42f, 0.25f), GROUND(0.93f, 0.95f, 0.97f),
        PARTING_GROUND(0.98f, 0.92f, 0.80f);

        private final float red;
        private final float green;
        private final float blue;

        Ink(float red, float green, float blue) {
            this.red = red;
            this.green = green;
            this.blue = blue;
        }
    }

    private final PDDocument document;
    private final PDFont words;
    private final PDFont bold;
    private final PDFont numbers;
    private PDPageContentStream content;
    private float y;

    PdfPages(PDDocument document) throws IOException {
        this.document = document;
        this.words = font(document, "Inter-Regular.ttf");
        this.bold = font(document, "Inter-Bold.ttf");
        this.numbers = font(document, "JetBrainsMono-Regular.ttf");
        turn();
    }

    private static PDFont font(PDDocument document, String name) throws IOException {
        try (InputStream in = PdfPages.class.getResourceAsStream("/pixeron/fonts/" + name)) {
            return PDType0Font.load(document, in);
        }
    }

    PDFont words() {
        return words;
    }

    PDFont bold() {
        return bold;
    }

    PDFont numbers() {
        return numbers;
    }

    /** @return how many pages there are */
    int count() {
        return document.getNumberOfPages();
    }

    /** @return the height at which writing goes on */
    float y() {
        return y;
    }

    void space(float height) {
        y -= height;
    }

    /** Turns the page where so much does not fit any more; more than a page is written as far as it goes. */
    void require(float height) throws IOException {
        if (y - height < MARGIN && y < PDRectangle.A4.getHeight() - MARGIN) {
            turn();
        }
    }

    private void turn() throws IOException {
        close();
        PDPage page = new PDPage(PDRectangle.A4);
        document.addPage(page);
        content = new PDPageContentStream(document, page);
        y = PDRectangle.A4.getHeight() - MARGIN;
    }

    void close() throws IOException {
        if (content != null) {
            content.close();
        }
    }

    void text(String text, float x, float bottom, PDFont font, float size, Ink ink) throws IOException {
        content.setNonStrokingColor(ink.red, ink.green, ink.blue);
        content.beginText();
        content.setFont(font, size);
        content.newLineAtOffset(MARGIN + x, bottom);
        content.showText(known(text, font));
        content.endText();
    }

    void right(String text, float x, float bottom, PDFont font, float size, Ink ink) throws IOException {
        text(text, x - width(text, font, size), bottom, font, size, ink);
    }

    void middle(String text, float x, float bottom, PDFont font, float size, Ink ink) throws IOException {
        text(text, x - width(text, font, size) / 2, bottom, font, size, ink);
    }

    /** Writes lines as wide as the page and goes on below them. */
    void paragraph(String text, PDFont font, float size, Ink ink, float indent) throws IOException {
        StringBuilder line = new StringBuilder();
        for (String word : text.split(" ")) {
            if (line.length() > 0 && width(line + " " + word, font, size) > WIDTH - indent) {
                line(line.toString(), font, size, ink, indent);
                line.setLength(0);
            }
            line.append(line.length() == 0 ? "" : " ").append(word);
        }
        line(line.toString(), font, size, ink, indent);
    }

    private void line(String text, PDFont font, float size, Ink ink, float indent) throws IOException {
        require(size * 1.4f);
        text(text, indent, y - size, font, size, ink);
        space(size * 1.4f);
    }

    void fill(float x, float bottom, float width, float height, Ink ink) throws IOException {
        content.setNonStrokingColor(ink.red, ink.green, ink.blue);
        content.addRect(MARGIN + x, bottom, width, height);
        content.fill();
    }

    void frame(float x, float bottom, float width, float height) throws IOException {
        content.setStrokingColor(Ink.LINE.red, Ink.LINE.green, Ink.LINE.blue);
        content.setLineWidth(0.5f);
        content.addRect(MARGIN + x, bottom, width, height);
        content.stroke();
    }

    /** @return the size, or a smaller one in which the text is not wider than allowed */
    float fitting(String text, PDFont font, float size, float width) throws IOException {
        float needed = width(text, font, size);
        return needed <= width ? size : size * width / needed;
    }

    private static float width(String text, PDFont font, float size) throws IOException {
        return font.getStringWidth(known(text, font)) / 1000 * size;
    }

    /** A sign that the font does not have would end the writing; it becomes a question mark. */
    private static String known(String text, PDFont font) {
        StringBuilder known = new StringBuilder();
        text.codePoints().forEach(c -> {
            String sign = Character.toString(c);
            try {
                font.encode(sign);
                known.append(sign);
            } catch (IOException | IllegalArgumentException missing) {
                known.append('?');
            }
        });
        return known.toString();
    }
}
