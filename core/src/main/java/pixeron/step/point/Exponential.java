package pixeron.step.point;


/** {@code exponential scale=auto}: exp(r ÷ c) − 1; undoes an unrounded log of the same scale. */
public final class Exponential extends Curve {

    public Exponential() {
        super("exponential", "Exponential", "Draws dark levels together and spreads bright ones; undoes a logarithm.",
                "exp(r / scale) - 1");
    }
}
