package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.NamedStep;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.Span;

/** A step with a window: its keys {@code border} and {@code outside}, and what holds for them. */
public abstract class WindowStep extends NamedStep {

    private static final int LARGEST = 255;
    private static final NumberParameter OUTSIDE = NumberParameter.level("outside", "Border value", Amount.of(0)).leftOutAtWill();

    private final String formula;
    private final ChoiceParameter border;
    private final List<Parameter<?>> parameters;

    /**
     * Creates a kind of step with a window and a border.
     *
     * @param border what is outside the image unless the line says more
     * @param own its own keys; border and outside are behind them
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

    /** Returns the key {@code size}, which must be given. */
    protected static NumberParameter size() {
        return NumberParameter.required("size", "Size").sliding(Span.of(Rational.ONE, Rational.of(31), Rational.of(2))).only(size -> size.isInt() && size.toInt() >= 1
                && size.toInt() <= LARGEST, "a whole number from 1 to " + LARGEST);
    }

    @Override
    public String formula(Arguments arguments) {
        return formula;
    }

    @Override
    public final List<Parameter<?>> ownParameters() {
        return parameters;
    }

    @Override
    public void validate(Arguments arguments) {
        Border.requireOutside(border(arguments), arguments.isGiven(OUTSIDE));
        if (border(arguments) == Border.CROP && arguments.isGiven(AREA)) {
            throw PixeronException.of("Area (area) needs a result as large as the image, but border=crop makes it smaller. "
                    + "Leave one of them out.");
        } else if (border(arguments) == Border.CROP && arguments.isGiven(CHANNELS)) {
            throw PixeronException.of("border=crop makes all channels smaller. Leave channels out.");
        }
    }

    /** Those that can be taken for each other, the constant last: it has the most ways. */
    private static final List<Border> BORDERS = List.of(Border.ZERO, Border.REPEAT, Border.MIRROR_HALF, Border.MIRROR_WHOLE, Border.WRAP,
            Border.KEEP, Border.INSIDE, Border.CONSTANT);

    /** Returns slips with the cells of the window that this kind of step can have. */
    protected List<Slip> cellSlips() {
        return List.of(WindowSlips.missed());
    }

    @Override
    public List<Slip> slips() {
        return Stream.concat(BorderSlips.of(BORDERS, this::border, this::withBorder).stream(), cellSlips().stream()).toList();
    }

    /** @param outside what is outside for a constant; null for other borders */
    final Step withBorder(Step step, Border other, Amount outside) {
        Arguments changed = step.arguments().with(border, border.parse(other.word())).without(OUTSIDE);
        return new Step(step.type(), outside == null ? changed : changed.with(OUTSIDE, outside));
    }

    /** Returns where a cell of a window lies from the pixel, in words. */
    public static String place(int down, int right) {
        return WindowSlips.place(down, right);
    }

    protected final Border border(Arguments arguments) {
        return Border.named(arguments.get(border));
    }

    /** Returns the window with what is outside the image. */
    protected final Window window(Arguments arguments, Image before, int height, int width, int anchorRow, int anchorColumn) {
        Optional<Rational> outside = arguments.find(OUTSIDE).map(amount -> amount.resolve(before.maximumLevel()));
        return new Window(height, width, anchorRow, anchorColumn, border(arguments), outside.orElse(Rational.ZERO));
    }

    /** Returns a square window with its anchor in the middle, or before the middle of an even one. */
    protected final Window square(Arguments arguments, Image before, int size) {
        return window(arguments, before, size, size, (size - 1) / 2, (size - 1) / 2);
    }

    /** Returns arguments with a size of 3, to begin with. */
    protected static Arguments small(NumberParameter size) {
        return Arguments.NONE.with(size, Amount.of(3));
    }

    /** Returns arguments with border, outside, rounding, overflow and area of another step with a window. */
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
