package pixeron.step.kernel;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import pixeron.formula.Expression;
import pixeron.formula.Function;
import pixeron.formula.Parser;
import pixeron.formula.Typeset;
import pixeron.image.Image;
import pixeron.number.Overflow;
import pixeron.number.Rounding;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.step.key.Arguments;
import pixeron.step.key.ChoiceParameter;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.Window;
import pixeron.step.neighborhood.WindowOperation;
import pixeron.step.neighborhood.WindowRule;
import pixeron.step.neighborhood.WindowStep;

/**
 * How much the values change from left to right and from above to below: two sums of the window, and what is made of
 * them; roots and angles are doubles, as in a formula. {@code sobel}, {@code prewitt}, {@code scharr} and {@code roberts}, each with {@code part=x|y|sum|root|angle}.
 *
 * <p>Domain: any values; the angle of two sums of 0 is 0. Cost: two weighted sums for each pixel. Source: Differences
 * across and down, docs/definitions/kernels.md.
 */
public final class Gradient extends WindowStep {

    /** What is made of the two sums. */
    enum Part {
        X("x", "g_x: the change from left to right", parsed("g_x")),
        Y("y", "g_y: the change from top to bottom", parsed("g_y")),
        SUM("sum", "|g_x| + |g_y|: the edge strength, in whole numbers", parsed("abs(g_x) + abs(g_y)")),
        ROOT("root", "√(g_x² + g_y²): the edge strength", parsed("sqrt(g_x^2 + g_y^2)")),
        ANGLE("angle", "the direction of the change in degrees, above −180 up to 180", new Expression.Call(Function.ANGLE,
                List.of(new Expression.Variable("g_x"), new Expression.Variable("g_y"))));

        private final ChoiceParameter.Choice choice;
        private final Expression made;

        Part(String word, String sentence, Expression made) {
            this.choice = new ChoiceParameter.Choice(word, sentence);
            this.made = made;
        }

        private static Expression parsed(String formula) {
            return Parser.parse(formula, Set.of("g_x", "g_y"));
        }

        /** Returns whether negative values belong to it. */
        boolean isSigned() {
            return this == X || this == Y || this == ANGLE;
        }
    }

    private static final ChoiceParameter PART = new ChoiceParameter("part", "Output", Optional.empty(),
            List.of(Part.X.choice, Part.Y.choice, Part.SUM.choice, Part.ROOT.choice, Part.ANGLE.choice));
    private static final String AUTO = "auto";
    private static final ChoiceParameter OWN_ROUNDING = withAuto(StepType.ROUNDING, "not rounded for angle, else nearest");
    private static final ChoiceParameter OWN_OVERFLOW = withAuto(StepType.OVERFLOW,
            "kept for x, y and angle, clipped for sum and root");

    private final Weights across;
    private final Weights down;

    private Gradient(String name, String title, String sentence, Weights across, Weights down) {
        super(name, title, sentence, "g_x = Σ x-weights × r, g_y = Σ y-weights × r", Border.ZERO, PART);
        this.across = across;
        this.down = down;
    }

    private static ChoiceParameter withAuto(ChoiceParameter plain, String sentence) {
        ChoiceParameter.Choice auto = new ChoiceParameter.Choice(AUTO, sentence);
        return new ChoiceParameter(plain.key(), plain.title(), Optional.of(auto), java.util.stream.Stream.concat(
                java.util.stream.Stream.of(auto), plain.choices().stream()).toList());
    }

    private static Gradient ofThree(String name, String title, int side, int middle) {
        int[][] across = {{-side, 0, side}, {-middle, 0, middle}, {-side, 0, side}};
        Weights x = Weights.centered(across);
        return new Gradient(name, title, "The change across and down (an edge detector), with weights " + side + ", " + middle + ", " + side
                + " along the edge.", x, x.transposed());
    }

    public static Gradient sobel() {
        return ofThree("sobel", "Sobel gradient", 1, 2);
    }

    public static Gradient prewitt() {
        return ofThree("prewitt", "Prewitt gradient", 1, 1);
    }

    public static Gradient scharr() {
        return ofThree("scharr", "Scharr gradient", 3, 10);
    }

    /** Returns the differences along the two diagonals of 2 × 2 pixels. */
    public static Gradient roberts() {
        return new Gradient("roberts", "Roberts gradient", "The differences along both diagonals of 2 × 2 pixels.",
                Weights.centered(new int[] {1, 0}, new int[] {0, -1}).anchoredAt(0, 0),
                Weights.centered(new int[] {0, 1}, new int[] {-1, 0}).anchoredAt(0, 0));
    }

    private static Part part(Arguments arguments) {
        ChoiceParameter.Choice choice = arguments.get(PART);
        return List.of(Part.values()).stream().filter(part -> part.choice.equals(choice)).findFirst().orElseThrow();
    }

    @Override
    public String formula(Arguments arguments) {
        Part part = part(arguments);
        String sums = part == Part.X ? "g_x = Σ w_x·r" : part == Part.Y ? "g_y = Σ w_y·r" : "g_x = Σ w_x·r, g_y = Σ w_y·r";
        return "s = " + Typeset.text(part.made) + ", " + sums;
    }

    @Override
    public ChoiceParameter roundingParameter() {
        return OWN_ROUNDING;
    }

    @Override
    public ChoiceParameter overflowParameter() {
        return OWN_OVERFLOW;
    }

    @Override
    public Rounding rounding(Arguments arguments) {
        return !arguments.get(OWN_ROUNDING).word().equals(AUTO) ? super.rounding(arguments)
                : part(arguments) == Part.ANGLE ? Rounding.NONE : Rounding.NEAREST;
    }

    @Override
    public Overflow overflow(Arguments arguments) {
        return !arguments.get(OWN_OVERFLOW).word().equals(AUTO) ? super.overflow(arguments)
                : part(arguments).isSigned() ? Overflow.KEEP : Overflow.CLIP;
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(PART, Part.SUM.choice));
    }

    /** One part alone is a kernel; what is made of both is none. */
    @Override
    public Optional<Step> spelledOut(Step step) {
        Part part = part(step.arguments());
        return part == Part.X ? Optional.of(Kernel.step(across, step))
                : part == Part.Y ? Optional.of(Kernel.step(down, step)) : Optional.empty();
    }

    @Override
    protected List<Slip> cellSlips() {
        return Stream.concat(WeightSlips.of(this::spelledOut).stream(), super.cellSlips().stream()).toList();
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Window window = window(step.arguments(), before, across.height(), across.width(), across.anchorRow(),
                across.anchorColumn());
        Part part = part(step.arguments());
        return new WindowOperation(step, before, window, WindowRule.of(Weighted.ofTwo("x", across), Weighted.ofTwo("y", down))
                .ending(part.made).withCodes(() -> GradientCodes.of(part, across, down, before, window).map(codes -> codes)));
    }
}
