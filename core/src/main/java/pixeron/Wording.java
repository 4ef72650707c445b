package pixeron;

import java.util.Locale;

/** How words are put for people, whatever they are about. */
public final class Wording {

    private Wording() {
    }

    /** Returns the text as it begins a line or a sentence: with a capital letter. */
    public static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }
}
