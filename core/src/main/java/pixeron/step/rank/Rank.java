package pixeron.step.rank;

import java.util.Optional;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Opposite;
import pixeron.step.Step;
import pixeron.step.key.Amount;
import pixeron.step.key.Arguments;
import pixeron.step.key.NumberParameter;
import pixeron.step.key.Parameter;
import pixeron.step.key.Span;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.Codes;
import pixeron.step.neighborhood.Window;
import pixeron.step.neighborhood.WindowOperation;
import pixeron.step.neighborhood.WindowRule;
import pixeron.step.neighborhood.WindowStep;

/**
 * A place in the sorted window: {@code median size=n}, {@code minimum size=n}, {@code maximum size=n},
 * {@code rank size=n place=k}, where place 1 is the smallest.
 *
 * <p>Cost for a level image: the smallest and the largest 2n comparisons for each pixel; other places 2n counts that move
 * with the window, see {@link SortedRows}. Otherwise every window is sorted anew.
 *
 * <p>Domain: n from 1 to 255, 1 ≤ k ≤ n²; a median over an even number of cells is the mean of the two in the middle.
 * Source: docs/definitions/kernels.md.
 */
public final class Rank extends WindowStep {

    private static final NumberParameter SIZE = size();
    private static final NumberParameter PLACE = NumberParameter.required("place", "Rank").sliding(Span.of(1, 25)).only(
            place -> place.isInt() && place.toInt() >= 1, "a whole number from 1, the smallest");

    /** Which of the sorted values is taken. */
    enum Kind {
        MEDIAN("median", "the middle of list", "s = the middle of the sorted window"),
        MINIMUM("minimum", "the first of list", "s = the smallest of the window"),
        MAXIMUM("maximum", "the last of list", "s = the largest of the window"),
        PLACED("rank", "place k of list", "s = the value with this rank in the sorted window");

        private final String name;
        private final String words;
        private final String formula;

        Kind(String name, String words, String formula) {
            this.name = name;
            this.words = words;
            this.formula = formula;
        }

        String words() {
            return words;
        }
    }

    private final Kind kind;

    private Rank(Kind kind, String title, String sentence, Border border, Parameter<?>... own) {
        super(kind.name, title, sentence, kind.formula, border, own);
        this.kind = kind;
    }

    public static Rank median() {
        return new Rank(Kind.MEDIAN, "Median filter", "Takes the middle value of the sorted window; removes single specks.", Border.INSIDE, SIZE);
    }

    public static Rank minimum() {
        return new Rank(Kind.MINIMUM, "Minimum filter", "Takes the smallest value of the window.", Border.INSIDE, SIZE);
    }

    public static Rank maximum() {
        return new Rank(Kind.MAXIMUM, "Maximum filter", "Takes the largest value of the window.", Border.INSIDE, SIZE);
    }

    public static Rank placed() {
        return new Rank(Kind.PLACED, "Rank filter", "Takes the value with a given rank in the sorted window.", Border.REPEAT, SIZE, PLACE);
    }

    @Override
    public void validate(Arguments arguments) {
        super.validate(arguments);
        int size = arguments.get(SIZE).number().toInt();
        if (kind == Kind.MEDIAN && size % 2 == 0 && border(arguments) != Border.INSIDE) {
            throw PixeronException.of("median size=%d has no middle cell. Use an odd size, or border=inside, where an even "
                    + "count takes the mean of the two in the middle.", size);
        } else if (kind == Kind.PLACED && arguments.get(PLACE).number().toInt() > size * size) {
            throw PixeronException.of("rank place=%s is beyond the %d cells of the window. Use a rank from 1 to %d.",
                    arguments.get(PLACE), size * size, size * size);
        }
    }

    @Override
    public Optional<Opposite> opposite(Step step) {
        return switch (kind) {
            case MINIMUM -> Optional.of(new Opposite("the largest value is used instead of the smallest", step.as(maximum())));
            case MAXIMUM -> Optional.of(new Opposite("the smallest value is used instead of the largest", step.as(minimum())));
            default -> Optional.empty();
        };
    }

    @Override
    public Step starter(int maximumLevel) {
        Arguments small = small(SIZE);
        return new Step(this, kind == Kind.PLACED ? small.with(PLACE, Amount.of(5)) : small);
    }

    @Override
    public Operation bind(Step step, Inputs inputs) {
        Image before = inputs.image(this);
        Window window = square(step.arguments(), before, step.arguments().get(SIZE).number().toInt());
        int place = kind == Kind.PLACED ? step.arguments().get(PLACE).number().toInt() : 0;
        Ranked ranked = new Ranked(kind, place, window);
        return new WindowOperation(step, before, window, WindowRule.of(ranked).withCodes(() -> codes(ranked, before, window)));
    }

    private Optional<Codes> codes(Ranked ranked, Image before, Window window) {
        if (kind == Kind.MINIMUM || kind == Kind.MAXIMUM) {
            return Optional.of(new ExtremeCodes(before, window, kind == Kind.MINIMUM, Optional.empty()));
        }
        // A place may be beyond the cells that are inside; the plain way says at which pixel first.
        boolean mayFail = kind == Kind.PLACED && window.border() == Border.INSIDE;
        return mayFail || !Image.isLevel(window.outside(), before.maximumLevel()) ? Optional.empty()
                : Optional.of(new MiddleCodes(ranked, window, before.maximumLevel(), RankByThresholds.isQuick(before, window, ranked)));
    }
}
