package pixeron.step.gray;

import pixeron.image.ColourImage;

/** What a person should know about gray that was made of a colour picture, in one sentence. */
public final class GrayNotes {

    private GrayNotes() {
    }

    /** @return how gray was made, and what became of transparent pixels if there are any */
    public static String of(GrayRule rule, ColourImage picture, Transparency transparency) {
        int transparent = picture.transparentPixels();
        return "Gray is made by " + rule.word() + ": " + rule.formula() + ", rounded to nearest"
                + (transparent == 0 ? "." : "; " + transparent + " pixels are transparent and were taken "
                + transparency.sentence() + ".");
    }
}
