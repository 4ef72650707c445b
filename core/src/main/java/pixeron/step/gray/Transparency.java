package pixeron.step.gray;

import pixeron.PixeronException;
import pixeron.Worded;

/** What becomes of transparent pixels before gray is made of them. */
public enum Transparency implements Worded {
    OVER_WHITE("over-white", "as if on a white background"),
    OVER_BLACK("over-black", "as if on a black background"),
    IGNORED("ignored", "as if every pixel were opaque");

    private final String word;
    private final String sentence;

    Transparency(String word, String sentence) {
        this.word = word;
        this.sentence = sentence;
    }

    @Override
    public String word() {
        return word;
    }

    /** Returns what it does, in a few words. */
    public String sentence() {
        return sentence;
    }

    /** Returns the channel value behind the picture. */
    long ground(int maximumLevel) {
        return this == OVER_WHITE ? maximumLevel : 0;
    }

    /**
     * Returns the rule of this name.
     *
     * @param word as in {@link #word}
     * @throws PixeronException if there is no such word
     */
    public static Transparency of(String word) {
        return Worded.find(values(), word).orElseThrow(() -> PixeronException.of("\"%s\" is not a valid way to handle transparency. Use %s.", word,
                        Worded.list(values())));
    }
}
