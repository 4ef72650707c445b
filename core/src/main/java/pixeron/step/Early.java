package pixeron.step;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;

/** What slips of rounding on the way have in common: to 3, 2, 1 or 0 decimals, nearest, ties away from zero. */
public final class Early {

    /** The stable id. */
    public static final String ID = "rounded-early";

    private static final int MOST_DECIMALS = 3;

    private Early() {
    }

    /** What is found for so many decimals. */
    @FunctionalInterface
    public interface Found {
        List<Way> ways(Operation right, int decimals);
    }

    /** Returns the slip, the most decimals first. */
    public static Slip slip(Found found) {
        return Slip.of(ID, right -> all(decimals -> found.ways(right, decimals)));
    }

    private static List<Way> all(IntFunction<List<Way>> ways) {
        List<Way> all = new ArrayList<>();
        for (int decimals = MOST_DECIMALS; decimals >= 0; decimals--) {
            all.addAll(ways.apply(decimals));
        }
        return all;
    }

    /** Returns the number rounded to so many decimals. */
    public static Rational rounded(Value number, int decimals) {
        Rational scale = scale(decimals);
        return ((Rational) Rounding.NEAREST.apply(number.times(scale))).dividedBy(scale);
    }

    /** Returns 10 to the power of decimals. */
    public static Rational scale(int decimals) {
        return Decimals.parse("1" + "0".repeat(decimals));
    }

    /** Returns such as "to 2 decimals". */
    public static String to(int decimals) {
        return decimals == 0 ? "to a whole number" : "to " + decimals + (decimals == 1 ? " decimal" : " decimals");
    }
}
