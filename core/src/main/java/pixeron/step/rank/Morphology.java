package pixeron.step.rank;

import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.number.Rational;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Opposite;
import pixeron.step.Step;
import pixeron.step.key.Arguments;
import pixeron.step.key.MatrixParameter;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.Window;
import pixeron.step.neighborhood.WindowOperation;
import pixeron.step.neighborhood.WindowRule;
import pixeron.step.neighborhood.WindowStep;

/**
 * The smallest or the largest value under a shape of 0 and 1, and the two one after the other: {@code erode}, {@code dilate},
 * {@code open}, {@code close}, each with {@code shape="…"}.
 *
 * <p>Domain: up to 31 × 31 cells, at least one of them 1. Cost: see {@link ExtremeCodes}, twice for the two one after the
 * other. Source: Erosion and dilation of gray values, docs/definitions/kernels.md.
 */
public final class Morphology extends WindowStep {

    private static final int LARGEST = 31;
    private static final MatrixParameter SHAPE = new MatrixParameter("shape", "Structuring element", LARGEST);

    private final List<Boolean> passes;

    /** @param passes for each pass over the image, whether it erodes */
    private Morphology(String name, String title, String sentence, String formula, Boolean... passes) {
        super(name, title, sentence, formula, Border.INSIDE, SHAPE);
        this.passes = List.of(passes);
    }

    public static Morphology erode() {
        return new Morphology("erode", "Erosion", "Takes the smallest value under the structuring element; bright areas shrink.",
                "s = smallest r(i + a, j + b) under the structuring element", true);
    }

    public static Morphology dilate() {
        return new Morphology("dilate", "Dilation", "Takes the largest value under the reflected structuring element; bright areas grow.",
                "s = largest r(i − a, j − b) under the structuring element", false);
    }

    public static Morphology open() {
        return new Morphology("open", "Opening", "Erodes, then dilates; removes bright specks smaller than the structuring element.",
                "s = dilated(eroded r)", true, false);
    }

    public static Morphology close() {
        return new Morphology("close", "Closing", "Dilates, then erodes; removes dark specks smaller than the structuring element.",
                "s = eroded(dilated r)", false, true);
    }

    @Override
    public void validate(Arguments arguments) {
        super.validate(arguments);
        List<Rational> cells = arguments.get(SHAPE).stream().flatMap(List::stream).toList();
        cells.stream().filter(cell -> cell.signum() != 0 && !cell.equals(Rational.ONE)).findFirst().ifPresent(cell -> {
            throw PixeronException.of("Structuring element (shape) contains %s. Its cells must be 0 or 1.", cell);
        });
        if (cells.stream().allMatch(cell -> cell.signum() == 0)) {
            throw PixeronException.of("Structuring element (shape) has no 1. At least one cell must be 1.");
        }
    }

    @Override
    public Optional<Opposite> opposite(Step step) {
        return passes.size() > 1 ? Optional.empty() : Optional.of(passes.get(0)
                ? new Opposite("the largest value is used instead of the smallest", step.as(dilate()))
                : new Opposite("the smallest value is used instead of the largest", step.as(erode())));
    }

    @Override
    public Step starter(int maximumLevel) {
        return new Step(this, Arguments.NONE.with(SHAPE, SHAPE.parse("0 1 0 | 1 1 1 | 0 1 0")));
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        return passes.size() == 1 ? pass(step, before, passes.get(0), "before")
                : new TwoPasses(step, before, passes.get(0), (like, image, isEroding, name) ->
                        pass(like, image, isEroding, name));
    }

    private WindowOperation pass(Step step, Image image, boolean isEroding, String name) {
        List<List<Rational>> rows = step.arguments().get(SHAPE);
        int height = rows.size();
        int width = rows.get(0).size();
        int anchorRow = (height - 1) / 2;
        int anchorColumn = (width - 1) / 2;
        boolean[][] laid = new boolean[height][width];
        for (int i = 0; i < height; i++) {
            for (int j = 0; j < width; j++) {
                // Dilating looks the other way: r(i − a, j − b).
                laid[i][j] = rows.get(isEroding ? i : height - 1 - i).get(isEroding ? j : width - 1 - j).signum() != 0;
            }
        }
        Window window = isEroding ? window(step.arguments(), image, height, width, anchorRow, anchorColumn)
                : window(step.arguments(), image, height, width, height - 1 - anchorRow, width - 1 - anchorColumn);
        return new WindowOperation(step, image, window, WindowRule.of(new Extreme(laid, isEroding, name)).withCodes(
                () -> Optional.of(new ExtremeCodes(image, window, isEroding, Optional.of(laid)))));
    }
}
