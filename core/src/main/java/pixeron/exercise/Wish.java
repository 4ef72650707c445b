package pixeron.exercise;

import java.util.OptionalInt;
import pixeron.PixeronException;

/**
 * What keeps the calculation of a variant fit for paper; numbers are chosen again until it holds. It concerns all values of the steps
 * before the last one that is asked for, and of the cells of that one that are asked for (of all, where a table of it is).
 *
 * @param isWithoutTies no value lies just between two whole numbers when it is rounded
 * @param decimals no value before rounding has more decimals than these, 0–9; empty where it may
 * @param clipped at least so many values lie outside 0–M before overflow, together in all steps; 0 where none need be
 */
public record Wish(boolean isWithoutTies, OptionalInt decimals, int clipped) {

    /** Whatever is drawn is right. */
    public static final Wish NONE = new Wish(false, OptionalInt.empty(), 0);

    private static final int MOST_DECIMALS = 9;

    public Wish {
        if (decimals.isPresent() && (decimals.getAsInt() < 0 || decimals.getAsInt() > MOST_DECIMALS)) {
            throw PixeronException.of("The constraint \"at most %d decimals\" must be from 0 to %d.", decimals.getAsInt(), MOST_DECIMALS);
        } else if (clipped < 0) {
            throw PixeronException.of("The constraint \"at least %d clipped values\" must be 0 or more.", clipped);
        }
    }

    /** Returns whether anything is wished for. */
    public boolean isAny() {
        return !equals(NONE);
    }
}
