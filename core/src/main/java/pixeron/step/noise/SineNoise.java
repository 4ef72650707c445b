package pixeron.step.noise;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.formula.Expression;
import pixeron.formula.Parser;
import pixeron.image.Area;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.loop.Origin;
import pixeron.number.Rational;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Span;
import pixeron.step.pointwise.PointRule;
import pixeron.step.pointwise.PointStep;

/**
 * {@code periodic-noise amplitude=a period-rows=p period-columns=q phase=0}: s = r + a · sin(2π · (i ÷ p + j ÷ q) + phase · π ÷ 180);
 * instead of periods {@code cycles-rows=m cycles-columns=n}: m · i ÷ H + n · j ÷ W. The turns are taken modulo 1 first, exactly.
 *
 * <p>Domain: at least one period or one number of cycles, not 0, of either sign; the two exclude each other. Doubles. Source:
 * docs/definitions/noise.md.
 */
public final class SineNoise extends PointStep {

    private static final NumberParameter AMPLITUDE = NumberParameter.required("amplitude", "Amplitude").sliding(Span.ofLevels(0, 1));
    private static final NumberParameter PERIOD_ROWS = turns("period-rows", "Period, rows");
    private static final NumberParameter PERIOD_COLUMNS = turns("period-columns", "Period, columns");
    private static final NumberParameter CYCLES_ROWS = turns("cycles-rows", "Cycles, rows");
    private static final NumberParameter CYCLES_COLUMNS = turns("cycles-columns", "Cycles, columns");
    private static final NumberParameter PHASE = NumberParameter.optional("phase", "Phase, degrees", 0).sliding(Span.of(0, 360));
    private static final List<NumberParameter> PERIODS = List.of(PERIOD_ROWS, PERIOD_COLUMNS);
    private static final List<NumberParameter> CYCLES = List.of(CYCLES_ROWS, CYCLES_COLUMNS);
    private static final Set<String> NAMES = Set.of("r", "i", "j", "H", "W", "p", "q", "m", "n", "amplitude", "phase");

    public SineNoise() {
        super("periodic-noise", "Periodic noise", "Adds a sine wave, given by its periods in pixels or by its cycles in the image.", "r", AMPLITUDE,
                PERIOD_ROWS, PERIOD_COLUMNS, CYCLES_ROWS, CYCLES_COLUMNS, PHASE);
    }

    private static NumberParameter turns(String key, String title) {
        return NumberParameter.required(key, title).sliding(Span.of(1, 64)).only(n -> n.signum() != 0, "a number other than 0").leftOutAtWill();
    }

    private static boolean isGiven(Arguments arguments, List<NumberParameter> keys) {
        return keys.stream().anyMatch(arguments::isGiven);
    }

    @Override
    public void validate(Arguments arguments) {
        if (isGiven(arguments, PERIODS) == isGiven(arguments, CYCLES)) {
            throw PixeronException.of(isGiven(arguments, PERIODS) ? "Periods and cycles exclude each other. Leave one of them out."
                    : "periodic-noise needs period-rows, period-columns, cycles-rows or cycles-columns.");
        }
    }

    private static String text(Arguments arguments, boolean isConverted) {
        List<String> turns = new ArrayList<>();
        String[] terms = isGiven(arguments, PERIODS) ? new String[] {"i / p", "j / q"} : new String[] {"m * i / H", "n * j / W"};
        List<NumberParameter> keys = isGiven(arguments, PERIODS) ? PERIODS : CYCLES;
        for (int n = 0; n < terms.length; n++) {
            if (arguments.isGiven(keys.get(n))) {
                turns.add(terms[n]);
            }
        }
        boolean hasPhase = arguments.get(PHASE).number().signum() != 0;
        return "r + amplitude * sin(2 * pi * mod(" + String.join(" + ", turns) + ", 1)" + (hasPhase ? isConverted ? " + phase * pi / 180)" : " + phase)" : ")");
    }

    @Override
    protected Expression expression(Arguments arguments) {
        return Parser.parse(text(arguments, true), NAMES);
    }

    @Override
    protected PointRule rule(Arguments arguments, Image before, Area area) {
        PointRule rule = PointRule.of(expression(arguments), before.maximumLevel());
        rule = with(rule, "p", arguments.find(PERIOD_ROWS));
        rule = with(rule, "q", arguments.find(PERIOD_COLUMNS));
        rule = with(rule, "m", arguments.find(CYCLES_ROWS));
        rule = with(rule, "n", arguments.find(CYCLES_COLUMNS));
        if (isGiven(arguments, CYCLES)) {
            rule = rule.withConstant("H", Rational.of(before.rows())).withConstant("W", Rational.of(before.columns()));
        }
        return rule.withPlace();
    }

    private static PointRule with(PointRule rule, String name, Optional<Amount> given) {
        return given.map(amount -> rule.withConstant(name, amount.number()).coming(name, () -> Origin.once(name, Code.of(amount.number())))).orElse(rule);
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(AMPLITUDE, Amount.of(Math.max(1, maximumLevel / 8))).with(PERIOD_COLUMNS, Amount.of(4)));
    }

    @Override
    protected List<Slip> ownSlips() {
        return List.of(Slip.of("period-for-cycles", "the period is used as the number of cycles, or vice versa", step -> {
            Arguments given = step.arguments();
            Arguments changed = given;
            for (int n = 0; n < PERIODS.size(); n++) {
                NumberParameter period = PERIODS.get(n);
                NumberParameter cycles = CYCLES.get(n);
                changed = given.isGiven(period) ? changed.with(cycles, given.get(period)).without(period)
                        : given.isGiven(cycles) ? changed.with(period, given.get(cycles)).without(cycles) : changed;
            }
            return new Step(this, changed);
        }), phaseAsItIs());
    }

    private Slip phaseAsItIs() {
        return Slip.of("degrees-for-radians", right -> right.step().arguments().get(PHASE).number().signum() == 0 ? List.of()
                : otherFormula("the phase in degrees is used as radians", right.step(), Parser.parse(text(right.step().arguments(), false), NAMES), right));
    }
}
