package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Amount;
import pixeron.step.Arguments;
import pixeron.step.ChoiceParameter;
import pixeron.step.NamedStep;
import pixeron.step.NumberParameter;
import pixeron.step.Parameter;
import pixeron.step.Step;

/** A step with a window: its keys {@code border} and {@code outside}, and what holds for them. */
public abstract class WindowStep extends NamedStep {

    private static final int LARGEST = 999;
    private static final NumberParameter OUTSIDE = NumberParameter.required("outside", "Outside").leftOutAtWill();

    private final String formula;
    private final ChoiceParameter border;
    private final List<Parameter<?>> parameters;

    /**
     * @param border what stands outside the image unless the line says more
     * @param own its own keys; border and outside stand behind them
     */
    protected WindowStep(String name, String title, String sentence, String formula, Border border, Parameter<?>... own) {
        super(name, title, sentence);
        this.formula = formula;
        this.border = border.parameter();
        List<Parameter<?>> all = new ArrayList<>(List.of(own));
        all.add(this.border);
        all.add(OUTSIDE);
        this.parameters = List.copyOf(all);
    }

    /** @return the key {@code size}, which must be given */
    protected static NumberParameter size() {
        return NumberParameter.required("size", "Size").only(size -> size.isInt() && size.toInt() >= 1
                && size.toInt() <= LARGEST, "a whole number from 1 to " + LARGEST);
    }

    @Override
    public final String formula() {
        return formula;
    }

    @Override
    public final List<Parameter<?>> ownParameters() {
        return parameters;
    }

    @Override
    public void validate(Arguments arguments) {
        boolean isConstant = border(arguments) == Border.CONSTANT;
        if (isConstant != arguments.isGiven(OUTSIDE)) {
            throw PixeronException.of(isConstant ? "border=constant needs outside=…, the value outside the image."
                    : "outside belongs to border=constant; leave it out.");
        }
        if (border(arguments) == Border.CROP && arguments.isGiven(AREA)) {
            throw PixeronException.of("area goes with results as large as the image, and border=crop makes them smaller; "
                    + "leave one of them out.");
        }
    }

    protected final Border border(Arguments arguments) {
        return Border.named(arguments.get(border));
    }

    /** @return the window with what stands outside the image */
    protected final Window window(Arguments arguments, Image before, int height, int width, int anchorRow, int anchorColumn) {
        Optional<Rational> outside = arguments.find(OUTSIDE).map(amount -> amount.resolve(before.maximumLevel()));
        return new Window(height, width, anchorRow, anchorColumn, border(arguments), outside.orElse(Rational.ZERO));
    }

    /** @return a square window with its anchor in the middle, or before the middle of an even one */
    protected final Window square(Arguments arguments, Image before, int size) {
        return window(arguments, before, size, size, (size - 1) / 2, (size - 1) / 2);
    }

    /** @return arguments with a size of 3, to begin with */
    protected static Arguments small(NumberParameter size) {
        return Arguments.NONE.with(size, Amount.of(3));
    }

    /** @return arguments with border, outside, rounding, overflow and area of another step with a window */
    protected final Arguments taking(Arguments arguments, Step like) {
        WindowStep type = (WindowStep) like.type();
        Arguments all = arguments.with(border, border.parse(like.arguments().get(type.border).word()));
        Arguments from = like.arguments();
        all = from.isGiven(OUTSIDE) ? all.with(OUTSIDE, from.get(OUTSIDE)) : all;
        all = from.isGiven(AREA) ? all.with(AREA, from.get(AREA)) : all;
        return all.with(ROUNDING, ROUNDING.parse(like.rounding().word()))
                .with(OVERFLOW, OVERFLOW.parse(like.overflow().word()));
    }
}
