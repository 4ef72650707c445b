package pixeron.report.pdf;

import java.util.Locale;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** The paper that pages are printed on, upright. */
public enum Paper {
    A4(PDRectangle.A4), LETTER(PDRectangle.LETTER);

    private final PDRectangle size;

    Paper(PDRectangle size) {
        this.size = size;
    }

    PDRectangle size() {
        return size;
    }

    /** Returns the paper that is usual where the user is. */
    public static Paper usual() {
        return java.util.Set.of("US", "CA", "MX").contains(Locale.getDefault().getCountry()) ? LETTER : A4;
    }
}
