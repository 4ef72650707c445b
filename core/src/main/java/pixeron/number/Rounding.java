package pixeron.number;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import pixeron.Worded;

/** How an exact value becomes a whole number. Every step has this as its {@code rounding} key. */
public enum Rounding implements Worded {
    NEAREST("nearest", "nearest, ties away from zero", RoundingMode.HALF_UP),
    NEAREST_EVEN("nearest-even", "nearest, ties to even", RoundingMode.HALF_EVEN),
    TRUNCATE("truncate", "truncated toward zero", RoundingMode.DOWN),
    FLOOR("floor", "down to the whole number below", RoundingMode.FLOOR),
    CEILING("ceiling", "up to the whole number above", RoundingMode.CEILING),
    NONE("none", "not rounded", RoundingMode.UNNECESSARY);

    private final String word;
    private final String sentence;
    private final RoundingMode mode;

    Rounding(String word, String sentence, RoundingMode mode) {
        this.word = word;
        this.sentence = sentence;
        this.mode = mode;
    }

    @Override
    public String word() {
        return word;
    }

    /**
     * Returns the rounding of this name.
     *
     * @param word as in {@link #word}
     * @throws IllegalArgumentException if there is no such word
     */
    public static Rounding named(String word) {
        return Worded.find(values(), word).orElseThrow(() -> new IllegalArgumentException(word));
    }

    /** Returns what it does, in a few words. */
    public String sentence() {
        return sentence;
    }

    /** Returns value as a whole number, or as it is with {@link #NONE}. */
    public Value apply(Value value) {
        if (this == NONE) {
            return value;
        }
        if (value instanceof Rational r) {
            return r.isWhole() ? r : r.whole(mode);
        }
        BigInteger whole = new BigDecimal(value.asDouble()).setScale(0, mode).toBigIntegerExact();
        return Rational.of(whole, BigInteger.ONE);
    }

    /**
     * Returns numerator ÷ denominator as a whole number.
     *
     * @param numerator |numerator| ≤ 2⁶¹
     * @param denominator 1 to 2⁶¹
     * @throws IllegalStateException for {@link #NONE}
     */
    public long apply(long numerator, long denominator) {
        long floor = Math.floorDiv(numerator, denominator);
        long rest = numerator - floor * denominator;
        return switch (this) {
            case NEAREST -> 2 * rest > denominator || 2 * rest == denominator && numerator > 0 ? floor + 1 : floor;
            case NEAREST_EVEN -> 2 * rest > denominator || 2 * rest == denominator && (floor & 1) != 0 ? floor + 1
                    : floor;
            case TRUNCATE -> rest != 0 && numerator < 0 ? floor + 1 : floor;
            case FLOOR -> floor;
            case CEILING -> rest != 0 ? floor + 1 : floor;
            case NONE -> throw new IllegalStateException("a fraction that is not rounded is not a whole number");
        };
    }
}
