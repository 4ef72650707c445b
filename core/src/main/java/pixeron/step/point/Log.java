package pixeron.step.point;


/** {@code log scale=auto}: c·ln(1 + r), for r &gt; −1. */
public final class Log extends Curve {

    public Log() {
        super("log", "Logarithm", "Spreads dark levels and draws bright ones together.", "scale * ln(1 + r)");
    }
}
