package pixeron.exercise.print;

import java.io.IOException;
import pixeron.report.pdf.PdfPages;

/** Sets boxes beside each other as long as they fit, then below. */
final class Flow {

    private static final float GAP = 22;
    private static final float BELOW = 14;

    /** Draws a box. */
    interface Box {
        /**
         * @param left its left edge
         * @param top its upper edge
         */
        void draw(float left, float top) throws IOException;
    }

    private final PdfPages pages;
    private float x;
    private float lineHeight;

    Flow(PdfPages pages) {
        this.pages = pages;
    }

    void add(float width, float height, Box box) throws IOException {
        if (x > 0 && x + width > pages.width() || height > pages.left() && x > 0) {
            end();
        }
        if (x == 0) {
            pages.require(height);
        }
        box.draw(x, pages.y());
        x += width + GAP;
        lineHeight = Math.max(lineHeight, height);
    }

    /** Goes on below what was set last. */
    void end() {
        if (x > 0) {
            pages.space(lineHeight + BELOW);
        }
        x = 0;
        lineHeight = 0;
    }
}
