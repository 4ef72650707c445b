package pixeron.report.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.HashMap;
import java.util.Map;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * Pages that are written from top to bottom. Lengths are points, x is counted from the left margin, y upwards.
 *
 * <p>Text is tagged: what is written between {@link #begin} and {@link #end} is one piece of a kind, anything else a paragraph of its own.
 */
public final class PdfPages implements AutoCloseable {

    private static final float MARGIN = 48;
    private static final float RUNNING = 10;

    private final PDDocument document;
    private final Paper paper;
    private final PdfTags tags;
    private final PDFont words;
    private final PDFont bold;
    private final PDFont numbers;
    /** Asked for again and again: the same numbers and words are on every page. */
    private final Map<PDFont, Map<String, Float>> widths = new HashMap<>();
    private final Map<PDFont, Map<Integer, Boolean>> signs = new HashMap<>();
    private String running = "";
    private PDPageContentStream content;
    private PDStructureElement piece;
    private float y;

    /**
     * Creates an empty document.
     *
     * @param title of the document
     */
    public PdfPages(Paper paper, String title) throws IOException {
        this.document = new PDDocument();
        this.paper = paper;
        this.tags = new PdfTags(document, title);
        this.words = font(document, "Inter-Regular.ttf");
        this.bold = font(document, "Inter-Bold.ttf");
        this.numbers = font(document, "JetBrainsMono-Regular.ttf");
        turn();
    }

    private static PDFont font(PDDocument document, String name) throws IOException {
        try (InputStream in = PdfPages.class.getResourceAsStream("/pixeron/fonts/" + name)) {
            TrueTypeFont font = new TTFParser().parse(new RandomAccessReadBuffer(in));
            // Looking for ligatures takes most of the time of a page, and there are none in it.
            font.setEnableGsub(false);
            return PDType0Font.load(document, font, true);
        }
    }

    public PDFont words() {
        return words;
    }

    public PDFont bold() {
        return bold;
    }

    public PDFont numbers() {
        return numbers;
    }

    /** Returns how many pages there are. */
    public int count() {
        return document.getNumberOfPages();
    }

    /** Returns the height at which writing goes on. */
    public float y() {
        return y;
    }

    public void space(float height) {
        y -= height;
    }

    /** Returns the width between the margins. */
    public float width() {
        return paper.size().getWidth() - 2 * MARGIN;
    }

    /** Returns the height between the margins. */
    public float height() {
        return paper.size().getHeight() - 2 * MARGIN;
    }

    /** Returns the height that is left on the page. */
    public float left() {
        return y - MARGIN;
    }

    /** Turns the page where so much does not fit any more; more than a page is written as far as it goes. */
    public void require(float height) throws IOException {
        if (y - height < MARGIN && y < paper.size().getHeight() - MARGIN) {
            turn();
        }
    }

    /**
     * Sets the running head.
     *
     * @param words are above every page that begins from now on, such as whose they are; empty for none
     */
    public void running(String words) {
        running = words;
    }

    /** Goes on at the top of a new page. */
    public void turn() throws IOException {
        if (content != null) {
            if (piece != null) {
                content.endMarkedContent();
            }
            content.close();
        }
        PDPage page = new PDPage(paper.size());
        document.addPage(page);
        content = new PDPageContentStream(document, page);
        tags.turn(page);
        if (!running.isEmpty()) {
            content.beginMarkedContent(COSName.ARTIFACT);
            write(running, width() - width(running, numbers, RUNNING), paper.size().getHeight() - MARGIN + 4, numbers, RUNNING, Ink.BLACK);
            content.endMarkedContent();
        }
        if (piece != null) {
            tags.again(content, piece);
        }
        y = paper.size().getHeight() - MARGIN;
    }

    /** Returns all pages as a file; nothing can be written any more. */
    public byte[] bytes() throws IOException {
        content.close();
        tags.finish();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        document.save(out);
        return out.toByteArray();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }

    /** Begins something that has other things in it: a table, a row. */
    public void open(String type) {
        tags.open(type);
    }

    /** Ends what was {@linkplain #open opened} last. */
    public void shut() {
        tags.close();
    }

    /** Begins a piece of text, such as a heading or a cell. */
    public void begin(String type) throws IOException {
        piece = tags.begin(content, type);
    }

    /** Ends the piece. */
    public void end() throws IOException {
        content.endMarkedContent();
        piece = null;
    }

    public void text(String text, float x, float bottom, PDFont font, float size, Ink ink) throws IOException {
        boolean isAlone = piece == null;
        if (isAlone) {
            begin("P");
        }
        write(text, x, bottom, font, size, ink);
        if (isAlone) {
            end();
        }
    }

    private void write(String text, float x, float bottom, PDFont font, float size, Ink ink) throws IOException {
        content.setNonStrokingColor(ink.red(), ink.green(), ink.blue());
        content.beginText();
        content.setFont(font, size);
        content.newLineAtOffset(MARGIN + x, bottom);
        content.showText(known(text, font));
        content.endText();
    }

    public void right(String text, float x, float bottom, PDFont font, float size, Ink ink) throws IOException {
        text(text, x - width(text, font, size), bottom, font, size, ink);
    }

    public void middle(String text, float x, float bottom, PDFont font, float size, Ink ink) throws IOException {
        text(text, x - width(text, font, size) / 2, bottom, font, size, ink);
    }

    /** Writes lines as wide as the page and goes on below them. */
    public void paragraph(String text, PDFont font, float size, Ink ink, float indent) throws IOException {
        StringBuilder line = new StringBuilder();
        for (String word : text.split(" ")) {
            if (line.length() > 0 && width(line + " " + word, font, size) > width() - indent) {
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

    public void fill(float x, float bottom, float width, float height, Ink ink) throws IOException {
        content.setNonStrokingColor(ink.red(), ink.green(), ink.blue());
        content.addRect(MARGIN + x, bottom, width, height);
        content.fill();
    }

    public void frame(float x, float bottom, float width, float height) throws IOException {
        frame(x, bottom, width, height, Ink.LINE, 0.5f);
    }

    /**
     * Draws a frame.
     *
     * @param thickness of its lines
     */
    public void frame(float x, float bottom, float width, float height, Ink ink, float thickness) throws IOException {
        content.setStrokingColor(ink.red(), ink.green(), ink.blue());
        content.setLineWidth(thickness);
        content.addRect(MARGIN + x, bottom, width, height);
        content.stroke();
    }

    /** Draws a line to write on. */
    public void line(float x, float bottom, float length) throws IOException {
        content.setStrokingColor(Ink.RULE.red(), Ink.RULE.green(), Ink.RULE.blue());
        content.setLineWidth(0.6f);
        content.moveTo(MARGIN + x, bottom);
        content.lineTo(MARGIN + x + length, bottom);
        content.stroke();
    }

    /** Returns the size, or a smaller one in which the text is not wider than allowed. */
    public float fitting(String text, PDFont font, float size, float width) throws IOException {
        float needed = width(text, font, size);
        return needed <= width ? size : size * width / needed;
    }

    public float width(String text, PDFont font, float size) throws IOException {
        Float known = widths.computeIfAbsent(font, f -> new HashMap<>()).get(text);
        if (known == null) {
            known = font.getStringWidth(known(text, font));
            widths.get(font).put(text, known);
        }
        return known / 1000 * size;
    }

    /** A sign that the font does not have would end the writing; it becomes a question mark. */
    private String known(String text, PDFont font) {
        StringBuilder known = new StringBuilder();
        Map<Integer, Boolean> of = signs.computeIfAbsent(font, f -> new HashMap<>());
        text.codePoints().forEach(c -> known.appendCodePoint(of.computeIfAbsent(c, sign -> isKnown(sign, font)) ? c : '?'));
        return known.toString();
    }

    private static boolean isKnown(int sign, PDFont font) {
        try {
            font.encode(Character.toString(sign));
            return true;
        } catch (IOException | IllegalArgumentException missing) {
            return false;
        }
    }
}
