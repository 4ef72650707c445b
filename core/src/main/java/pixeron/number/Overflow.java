package pixeron.number;

import pixeron.Worded;

/** What happens to a value outside 0–M. Every step has this as its {@code overflow} key. */
public enum Overflow implements Worded {
    CLIP("clip", "values below 0 become 0, above M become M"),
    WRAP("wrap", "value mod (M + 1), never negative"),
    KEEP("keep", "values outside 0–M stay");

    private final String word;
    private final String sentence;

    Overflow(String word, String sentence) {
        this.word = word;
        this.sentence = sentence;
    }

    @Override
    public String word() {
        return word;
    }

    /**
     * Returns the overflow rule of this name.
     *
     * @param word as in {@link #word}
     * @throws IllegalArgumentException if there is no such word
     */
    public static Overflow named(String word) {
        return Worded.find(values(), word).orElseThrow(() -> new IllegalArgumentException(word));
    }

    /** Returns what it does, in a few words. */
    public String sentence() {
        return sentence;
    }

    /**
     * Returns the value inside 0–M (clip), inside 0–M + 1 without that end (wrap), or as it is (keep).
     *
     * @param value any, rounded or not
     * @param maximumLevel M ≥ 1
     */
    public Value apply(Value value, int maximumLevel) {
        return apply(value, Range.ofLevels(maximumLevel));
    }

    /**
     * Returns the value inside a range (clip), inside its period (wrap), or as it is (keep).
     *
     * @param value any, rounded or not
     */
    public Value apply(Value value, Range range) {
        return switch (this) {
            case KEEP -> value;
            case CLIP -> range.clipped(value);
            case WRAP -> range.wrapped(value);
        };
    }

    /**
     * Returns the level of a whole number.
     *
     * @param maximumLevel M ≥ 1
     * @throws IllegalStateException for {@link #KEEP}
     */
    public int apply(long whole, int maximumLevel) {
        return switch (this) {
            case CLIP -> (int) Math.max(0, Math.min(maximumLevel, whole));
            case WRAP -> (int) Math.floorMod(whole, (long) maximumLevel + 1);
            case KEEP -> throw new IllegalStateException("a kept value may not be a level");
        };
    }
}
