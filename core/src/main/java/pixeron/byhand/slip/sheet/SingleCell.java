package pixeron.byhand.slip.sheet;

import java.util.Optional;
import pixeron.byhand.CellCheck;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;

/**
 * Explanations for a sheet in which only one cell differs.
 *
 * @param id the stable id
 * @param words behind "The only differing value"
 */
public record SingleCell(String id, String words) {

    /** Returns what explains one cell; empty where nothing does. */
    public static Optional<SingleCell> of(CellCheck cell) {
        Optional<Value> written = cell.byHand().value();
        if (written.isEmpty()) {
            return Optional.empty();
        }
        String right = Decimals.table(cell.value());
        String byHand = Decimals.table(written.get());
        if (isSwapped(right, byHand)) {
            return Optional.of(new SingleCell("digits-swapped", "has two digits swapped: " + byHand + " for "
                    + right));
        } else if (written.get().minus(cell.value()).absolute().equals(Rational.ONE)) {
            return Optional.of(new SingleCell("one-unit-off", "is one too " + (written.get().compareValue(cell.value()) > 0
                    ? "large" : "small")));
        }
        return Optional.empty();
    }

    private static boolean isSwapped(String right, String byHand) {
        if (right.length() != byHand.length()) {
            return false;
        }
        int at = 0;
        while (at < right.length() && right.charAt(at) == byHand.charAt(at)) {
            at++;
        }
        return at + 1 < right.length() && Character.isDigit(right.charAt(at)) && Character.isDigit(right.charAt(at + 1))
                && right.charAt(at) == byHand.charAt(at + 1) && right.charAt(at + 1) == byHand.charAt(at)
                && right.substring(at + 2).equals(byHand.substring(at + 2));
    }
}
