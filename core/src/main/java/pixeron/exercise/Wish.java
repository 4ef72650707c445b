package pixeron.exercise;

import java.util.Optional;
import java.util.OptionalInt;
import pixeron.PixeronException;

/**
 * What keeps the calculation of a variant fit for paper. It is said of all steps up to the last one that is asked for; a variant is
 * drawn again until it holds.
 *
 * @param isWithoutTies no value lies just between two whole numbers when it is rounded
 * @param decimals no value before rounding has more decimals than these, 0 … 9; empty where it may
 * @param clipped at least so many values lie outside 0 … M before overflow, together in all steps; 0 where none need be
 */
public record Wish(boolean isWithoutTies, OptionalInt decimals, int clipped) {

    /** Whatever is drawn is right. */
    public static final Wish NONE = new Wish(false, OptionalInt.empty(), 0);

    private static final int MOST_DECIMALS = 9;

    public Wish {
        if (decimals.isPresent() && (decimals.getAsInt() < 0 || decimals.getAsInt() > MOST_DECIMALS)) {
            throw PixeronException.of("The wish for at most %d decimals must be from 0 to %d.", decimals.getAsInt(), MOST_DECIMALS);
        } else if (clipped < 0) {
            throw PixeronException.of("The wish for at least %d clipped values must be 0 or more.", clipped);
        }
    }

    /**
     * @param seen what the steps of a variant have
     * @return in words what does not hold; empty where all does
     */
    Optional<String> broken(Seen seen) {
        if (isWithoutTies && seen.ties() > 0) {
            return Optional.of("results without ties");
        } else if (decimals.isPresent() && seen.decimals() > decimals.getAsInt()) {
            return Optional.of("at most " + decimals.getAsInt() + (decimals.getAsInt() == 1 ? " decimal" : " decimals"));
        }
        return seen.clipped() < clipped ? Optional.of("at least " + clipped + " clipped") : Optional.empty();
    }

    /** @return whether anything is wished for */
    public boolean isAny() {
        return !equals(NONE);
    }

    /**
     * What the steps of a variant have together.
     *
     * @param ties values just between two whole numbers that are rounded
     * @param decimals of the value with most of them before rounding; {@link Integer#MAX_VALUE} where one does not end
     * @param clipped values outside 0 … M before overflow
     */
    record Seen(int ties, int decimals, int clipped) {
    }
}
