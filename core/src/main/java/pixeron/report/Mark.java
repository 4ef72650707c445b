package pixeron.report;

import java.util.Optional;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Verdict;
import pixeron.byhand.table.TableCheck;
import pixeron.number.Value;

/** The findings about a value in a report; its shape says what its color says. */
public enum Mark {
    NONE(""), AGREES("✓"), TOO_LARGE("▲"), TOO_SMALL("▼"), NOT_ROUNDED("≈"), FOLLOWS("↳"), NOT_UNDERSTOOD("?");

    private final String sign;

    Mark(String sign) {
        this.sign = sign;
    }

    /** Returns the sign beside the value; empty for none. */
    public String sign() {
        return sign;
    }

    /** Returns whether the value is wrong by itself. */
    public boolean isWrong() {
        return this == TOO_LARGE || this == TOO_SMALL || this == NOT_ROUNDED || this == NOT_UNDERSTOOD;
    }

    static Mark of(CellCheck cell, boolean isFollowing) {
        return isFollowing ? FOLLOWS : of(cell.state(), cell.difference());
    }

    static Mark of(TableCheck.Cell cell) {
        return of(cell.state(), cell.difference());
    }

    private static Mark of(Verdict verdict, Optional<Value> difference) {
        return switch (verdict) {
            case AGREES -> AGREES;
            case FOLLOWS -> FOLLOWS;
            case NOT_ROUNDED -> NOT_ROUNDED;
            case NOT_UNDERSTOOD -> NOT_UNDERSTOOD;
            case DIFFERS -> difference.orElseThrow().signum() > 0 ? TOO_LARGE : TOO_SMALL;
        };
    }
}
