package pixeron.step.geometry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.formula.Function;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.loop.Code;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.step.Common;
import pixeron.step.Finish;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.Way;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.Span;

/**
 * {@code resize height=h width=w by=nearest grid=centers}, {@code resize scale=f}: the image with other numbers of rows and
 * columns; of height and width one may be left out, then the proportion is kept.
 *
 * <p>Domain: whole h, w ≥ 1; f > 0, which excludes both; {@code by=mean} with {@code grid=centers} only. All exact. Cost: one
 * to four products a pixel, with the mean one for each pixel of the image before. Source: docs/definitions/resampling.md.
 */
public final class Resize extends NamedStep {

    private static final NumberParameter HEIGHT = size("height", "Height");
    private static final NumberParameter WIDTH = size("width", "Width");
    private static final NumberParameter SCALE = NumberParameter.required("scale", "Scale").sliding(Span.of(Rational.of(1, 10), Rational.of(4), Rational.of(1, 10))).only(n -> n.signum() > 0, "a number above 0")
            .leftOutAtWill();
    private static final String MEAN = "mean";
    private static final ChoiceParameter BY = ChoiceParameter.of("by", "Interpolation", Reading.NEAREST_CHOICE, Reading.LINEAR_CHOICE,
            new ChoiceParameter.Choice(MEAN, "the mean of the area under a pixel"));
    private static final ChoiceParameter GRID = ChoiceParameter.of("grid", "Grid", new ChoiceParameter.Choice("centers", "pixel centers aligned", List.of("centres")),
            new ChoiceParameter.Choice("corners", "top-left pixel corners aligned"),
            new ChoiceParameter.Choice("ends", "first and last pixels aligned"));

    public Resize() {
        super("resize", "Resize", "Scales the image to a size, to one side, or by a factor.");
    }

    private static NumberParameter size(String key, String title) {
        return NumberParameter.required(key, title).only(n -> n.isInt() && n.toInt() >= 1, "a whole number of at least 1").leftOutAtWill();
    }

    private static String word(Arguments arguments, ChoiceParameter key) {
        return arguments.get(key).word();
    }

    private static boolean isLinear(Arguments arguments) {
        return arguments.get(BY).equals(Reading.LINEAR_CHOICE);
    }

    @Override
    public String formula(Arguments arguments) {
        return word(arguments, BY).equals(MEAN) ? "s(i, j) = mean of the area under (i, j)"
                : "s(i, j) = r(y, x) with " + "y = " + formulas(word(arguments, GRID)).get(0).replace("*", "×").replace("/", "÷").replace("-", "−");
    }

    private static List<String> formulas(String grid) {
        return switch (grid) {
            case "corners" -> List.of("i * H / h", "j * W / w");
            case "ends" -> List.of("i * (H - 1) / (h - 1)", "j * (W - 1) / (w - 1)");
            default -> List.of("(i + 0.5) * H / h - 0.5", "(j + 0.5) * W / w - 0.5");
        };
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of(HEIGHT, WIDTH, SCALE, BY, GRID);
    }

    @Override
    public Set<Common> common() {
        return Set.of(Common.ROUNDING, Common.OVERFLOW);
    }

    @Override
    public void validate(Arguments arguments) {
        boolean hasSize = arguments.isGiven(HEIGHT) || arguments.isGiven(WIDTH);
        if (hasSize == arguments.isGiven(SCALE)) {
            throw PixeronException.of(hasSize ? "Scale cannot be combined with height or width. Leave one of them out."
                    : "resize needs height, width, both, or scale.");
        } else if (word(arguments, BY).equals(MEAN) && !word(arguments, GRID).equals("centers")) {
            throw PixeronException.of("by=mean goes with grid=centers only; leave grid out.");
        }
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(SCALE, Amount.of(2)));
    }

    /** Returns a step to this size, by nearest. */
    public Step to(int height, int width) {
        return new Step(this, Arguments.NONE.with(HEIGHT, Amount.of(height)).with(WIDTH, Amount.of(width)));
    }

    private static long rounded(Rational size) {
        return Math.max(1, ((Rational) Rounding.NEAREST.apply(size)).toInt());
    }

    private static Frame frame(Arguments arguments, Inputs inputs) {
        Frame before = inputs.before().frame();
        Rational rows = Rational.of(before.rows());
        Rational columns = Rational.of(before.columns());
        Optional<Rational> height = arguments.find(HEIGHT).map(Amount::number);
        Optional<Rational> width = arguments.find(WIDTH).map(Amount::number);
        Optional<Rational> scale = arguments.find(SCALE).map(Amount::number);
        Rational h = scale.map(rows::times).or(() -> height).orElseGet(() -> rows.times(width.orElseThrow()).dividedBy(columns));
        Rational w = scale.map(columns::times).or(() -> width).orElseGet(() -> columns.times(height.orElseThrow()).dividedBy(rows));
        if (h.compareTo(Rational.of(Integer.MAX_VALUE)) > 0 || w.compareTo(Rational.of(Integer.MAX_VALUE)) > 0) {
            return Sizes.frame(Integer.MAX_VALUE, Integer.MAX_VALUE, inputs);
        }
        return Sizes.frame(rounded(h), rounded(w), inputs);
    }

    /** The sizes of the result as a program works them out, for images of any size. */
    private static SampledProgram sides(Arguments arguments) {
        Optional<Code> height = arguments.find(HEIGHT).map(amount -> Code.of(amount.number()));
        Optional<Code> width = arguments.find(WIDTH).map(amount -> Code.of(amount.number()));
        Optional<Code> scale = arguments.find(SCALE).map(amount -> Code.of(amount.number()));
        Code rows = Code.name("H");
        Code columns = Code.name("W");
        return new SampledProgram(scale.map(factor -> side(rows.times(factor))).or(() -> height).orElseGet(() -> side(rows.times(width.orElseThrow()).over(columns))),
                scale.map(factor -> side(columns.times(factor))).or(() -> width).orElseGet(() -> side(columns.times(height.orElseThrow()).over(rows))));
    }

    private static Code side(Code length) {
        return new Code.Call(Function.MAX, List.of(Code.of(1), new Code.Rounded(Rounding.NEAREST, length)));
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Arguments arguments = step.arguments();
        Frame frame = frame(arguments, inputs);
        if (word(arguments, BY).equals(MEAN)) {
            MeanCells cells = new MeanCells(before.frame(), frame);
            return new SampledOperation(step, before, frame, cells, Outside.NEVER).with(sides(arguments)).with(progress -> ResizeBulk.mean(before, frame, Finish.of(step, frame), progress));
        }
        return sampled(step, before, frame, isLinear(arguments), word(arguments, GRID));
    }

    private static SampledOperation sampled(Step step, Image before, Frame frame, boolean isLinear, String grid) {
        List<String> formulas = new ArrayList<>(formulas(grid));
        if (grid.equals("ends")) {
            // With a single row or column only the first is read.
            formulas.set(0, frame.rows() == 1 ? "0 * i" : formulas.get(0));
            formulas.set(1, frame.columns() == 1 ? "0 * j" : formulas.get(1));
        }
        return sampled(step, before, frame, reading(isLinear, grid), formulas);
    }

    /** Returns the places of pixels of the image before, before they are rounded down. */
    private static List<String> forwards(String grid) {
        return switch (grid) {
            case "corners" -> List.of("y * h / H", "x * w / W");
            // With a single row or column all go to the first.
            case "ends" -> List.of("y * (h - 1) / max(1, H - 1) + 1 / 2", "x * (w - 1) / max(1, W - 1) + 1 / 2");
            default -> List.of("(y + 0.5) * h / H", "(x + 0.5) * w / W");
        };
    }

    private static Reading reading(boolean isLinear, String grid) {
        return isLinear ? Reading.LINEAR : grid.equals("corners") ? Reading.DOWN : Reading.NEAREST;
    }

    private static SampledOperation sampled(Step step, Image before, Frame frame, Reading reading, List<String> formulas) {
        Points points = Points.of(frame, formulas, Points.sizes(before.frame(), frame));
        PointCells cells = new PointCells(points, reading, Optional.of(before.frame()), pixel ->
                Points.inProportion(pixel, before.frame(), frame));
        SampledOperation operation = new SampledOperation(step, before, frame, cells, Outside.NEVER);
        return operation.with(sides(step.arguments())).with(ForwardPlaces.of(forwards(word(step.arguments(), GRID)), points.numbers())).with(progress -> ResizeBulk.points(before, cells,
                Finish.of(step, frame), progress));
    }

    @Override
    public List<Slip> slips() {
        return List.of(Slip.of("other-grid", Resize::otherGrids), Slip.of("nearest-for-linear", right -> {
            Arguments arguments = right.step().arguments();
            return word(arguments, BY).equals(MEAN) ? List.of() : List.of(Way.of(Reading.otherWords(isLinear(arguments)),
                    sampled(right.step(), right.before(), right.frame(), !isLinear(arguments), word(arguments, GRID))));
        }), EarlyPlaces.slip());
    }

    private static List<Way> otherGrids(Operation right) {
        Arguments arguments = right.step().arguments();
        if (word(arguments, BY).equals(MEAN)) {
            return List.of();
        }
        boolean isLinear = isLinear(arguments);
        List<Way> ways = new ArrayList<>();
        Stream.of("centers", "corners", "ends").filter(grid -> !grid.equals(word(arguments, GRID))).forEach(grid -> ways.add(Way.of(
                "positions are calculated with grid=" + grid, sampled(right.step(), right.before(), right.frame(), isLinear, grid))));
        Reading reading = reading(isLinear, word(arguments, GRID));
        List<String> upsideDown = formulas(word(arguments, GRID)).stream().map(formula -> formula.replace("H / h", "h / H").replace("W / w", "w / W")
                .replace("(H - 1) / (h - 1)", "(h - 1) / (H - 1)").replace("(W - 1) / (w - 1)", "(w - 1) / (W - 1)")).toList();
        boolean isPossible = !word(arguments, GRID).equals("ends") || right.before().rows() > 1 && right.before().columns() > 1;
        if (isPossible) {
            ways.add(Way.of("new size ÷ old size is used instead of old ÷ new", sampled(right.step(), right.before(), right.frame(), reading, upsideDown)));
        }
        return ways;
    }
}
