package pixeron.step.color;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.loop.Code;
import pixeron.loop.LoopProgram;
import pixeron.loop.Statement;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Common;
import pixeron.step.Inputs;
import pixeron.step.NamedStep;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Reference;
import pixeron.step.Source;
import pixeron.step.Step;
import pixeron.step.StepOperation;
import pixeron.step.key.Arguments;
import pixeron.step.key.Parameter;
import pixeron.working.Line;
import pixeron.working.LoopWriter;

/**
 * What happens to a face that a step leaves alone, or only takes from elsewhere: nothing. It is in no list of steps; it is there
 * so that every face of a result is calculated by something, and can be written by hand.
 *
 * <p>Domain: any image. Cost: none. Source: docs/definitions/color.md.
 */
public final class AsItIs extends NamedStep {

    private final String from;

    private AsItIs(String from) {
        super("as-it-is", "Unchanged", "The values stay as they are.");
        this.from = from;
    }

    /**
     * @param image whose values stay
     * @param from what that is called: the channel, {@code step:1}, or a number
     */
    public static Operation of(Image image, String from) {
        return new Step(new AsItIs(from), Arguments.NONE).bind(image);
    }

    /**
     * Returns how a step with a line of its own takes over an image.
     *
     * @param step any
     * @param image whose values stay
     * @param from what that is called
     */
    static Operation of(Step step, Image image, String from) {
        return new Staying(step, image, from);
    }

    @Override
    public String formula(Arguments arguments) {
        return "s = r";
    }

    @Override
    public Set<Common> common() {
        return Common.NONE;
    }

    @Override
    public List<Parameter<?>> ownParameters() {
        return List.of();
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        return new Staying(step, inputs.image(this), from);
    }

    private static final class Staying extends StepOperation {

        private final String from;

        Staying(Step step, Image image, String from) {
            super(step, image, image.frame());
            this.from = from;
        }

        @Override
        protected Optional<Kept> kept(Pixel result) {
            return Optional.of(new Kept(from, "as it is"));
        }

        /** The one number of a level everywhere is there itself; what else it is taken from is read from a file of its own. */
        @Override
        public Optional<LoopProgram> program() {
            boolean isNumber = from.equals(Reference.MAXIMUM) || Decimals.isNumber(from);
            String grid = from.equals(Reference.SELF) || isNumber ? "before" : "of_" + from.replaceAll("[^A-Za-z0-9]", "_");
            Code value = !isNumber ? new Code.Cell(grid, Code.name("i"), Code.name("j")) : Code.of(before().value(0));
            return Optional.of(new LoopProgram(step().type().name(), formula(step()), List.of(new LoopProgram.Input(grid, false)),
                    List.of(), Code.name("H"), Code.name("W"), List.of(Statement.set("s", value))).reading(before()));
        }

        private static String formula(Step step) {
            return step.type().formula(step.arguments());
        }

        @Override
        public Image result(Progress progress) {
            return before();
        }

        @Override
        protected Value calculate(Pixel result, Sight sight) {
            return sight.read().apply(result);
        }

        @Override
        protected List<Line> work(Pixel result, Sight sight) {
            return List.of();
        }

        @Override
        protected void loop(Pixel result, Sight sight, LoopWriter out) {
            out.set("s", calculate(result, sight)).line(0, "s ← " + from + " at [i][j]");
        }

        @Override
        public List<Source> sources(Pixel pixel) {
            return List.of(Source.of(pixel, before().value(pixel)));
        }
    }
}
