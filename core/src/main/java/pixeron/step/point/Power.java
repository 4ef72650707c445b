package pixeron.step.point;

import pixeron.formula.Expression;
import pixeron.number.Rational;
import pixeron.step.Amount;
import pixeron.step.Arguments;
import pixeron.step.NumberParameter;
import pixeron.step.PointStep;
import pixeron.step.Step;

/** {@code power gamma=g scale=auto}: M·(r ÷ M)^g, or c·r^g with a number c; g &gt; 0, r ≥ 0 unless g is whole. */
public final class Power extends PointStep {

    private static final NumberParameter GAMMA = NumberParameter.required("gamma", "Gamma")
            .only(number -> number.signum() > 0, "a number above 0");
    private static final NumberParameter SCALE = NumberParameter.automatic("scale", "Scale", false);

    private final Expression scaled = parsed("scale * r^gamma");

    public Power() {
        super("power", "Power", "Raises levels to a power: above 1 darker, below 1 brighter; the ends stay.",
                "M * (r / M)^gamma", GAMMA, SCALE);
    }

    @Override
    protected Expression expression(Arguments arguments) {
        return arguments.get(SCALE).isAuto() ? super.expression(arguments) : scaled;
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(GAMMA, new Amount(Rational.of(2))));
    }
}
