package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Amount;
import pixeron.step.Arguments;
import pixeron.step.NumberParameter;
import pixeron.step.Operation;
import pixeron.step.Parameter;
import pixeron.step.Step;
import pixeron.working.Line;
import pixeron.working.Run;

/**
 * A place in the sorted window: {@code median size=n}, {@code minimum size=n}, {@code maximum size=n},
 * {@code rank size=n place=k}, where place 1 is the smallest.
 *
 * <p>Cost: every window is sorted anew.
 */
public final class Rank extends WindowStep {

    private static final NumberParameter SIZE = size();
    private static final NumberParameter PLACE = NumberParameter.required("place", "Place").only(
            place -> place.isInt() && place.toInt() >= 1, "a whole number from 1, the smallest");

    /** Which of the sorted values is taken. */
    private enum Kind { MEDIAN, MINIMUM, MAXIMUM, PLACED }

    private final Kind kind;

    private Rank(Kind kind, String name, String title, String sentence, String formula, Border border,
            Parameter<?>... own) {
        super(name, title, sentence, formula, border, own);
        this.kind = kind;
    }

    public static Rank median() {
        return new Rank(Kind.MEDIAN, "median", "Median", "Takes the middle of the sorted window: single specks go.",
                "s = the middle of the sorted window", Border.INSIDE, SIZE);
    }

    public static Rank minimum() {
        return new Rank(Kind.MINIMUM, "minimum", "Minimum", "Takes the smallest value of the window.",
                "s = the smallest of the window", Border.INSIDE, SIZE);
    }

    public static Rank maximum() {
        return new Rank(Kind.MAXIMUM, "maximum", "Maximum", "Takes the largest value of the window.",
                "s = the largest of the window", Border.INSIDE, SIZE);
    }

    public static Rank placed() {
        return new Rank(Kind.PLACED, "rank", "Rank", "Takes the value at a place of the sorted window.",
                "s = the value at the place of the sorted window", Border.REPEAT, SIZE, PLACE);
    }

    @Override
    public void validate(Arguments arguments) {
        super.validate(arguments);
        int size = arguments.get(SIZE).number().toInt();
        if (kind == Kind.MEDIAN && size % 2 == 0 && border(arguments) != Border.INSIDE) {
            throw PixeronException.of("median size=%d has no middle cell; give an odd size, or border=inside, where an even "
                    + "count takes the mean of the two in the middle.", size);
        } else if (kind == Kind.PLACED && arguments.get(PLACE).number().toInt() > size * size) {
            throw PixeronException.of("rank place=%s is beyond the %d cells of the window; give a place from 1 to %d.",
                    arguments.get(PLACE), size * size, size * size);
        }
    }

    @Override
    public Step starter(int maximumLevel) {
        Arguments small = small(SIZE);
        return new Step(this, kind == Kind.PLACED ? small.with(PLACE, Amount.of(5)) : small);
    }

    @Override
    public Operation bind(Step step, Image before) {
        return new Bound(step, before, square(step.arguments(), before, step.arguments().get(SIZE).number().toInt()));
    }

    private final class Bound extends WindowOperation {

        private final int place;

        Bound(Step step, Image before, Window window) {
            super(step, before, window);
            place = kind == Kind.PLACED ? step.arguments().get(PLACE).number().toInt() : 0;
        }

        private List<Value> sorted(Pixel pixel) {
            List<Value> values = new ArrayList<>();
            window().cells(before(), pixel).forEach(cell -> cell.value().ifPresent(values::add));
            values.sort(Value::compareValue);
            return values;
        }

        @Override
        Value valueOf(Pixel pixel) {
            List<Value> sorted = sorted(pixel);
            int count = sorted.size();
            return switch (kind) {
                case MINIMUM -> sorted.get(0);
                case MAXIMUM -> sorted.get(count - 1);
                case MEDIAN -> count % 2 == 1 ? sorted.get(count / 2)
                        : sorted.get(count / 2 - 1).plus(sorted.get(count / 2)).dividedBy(Rational.of(2));
                case PLACED -> {
                    if (place > count) {
                        throw PixeronException.of("rank at %s: place %d is beyond the %d cells of the window that are inside.",
                                pixel, place, count);
                    }
                    yield sorted.get(place - 1);
                }
            };
        }

        @Override
        List<Line> work(Pixel pixel) {
            List<Line> lines = new ArrayList<>(WindowText.lines(window(), before(), pixel));
            List<Value> sorted = sorted(pixel);
            int count = sorted.size();
            boolean isBetween = kind == Kind.MEDIAN && count % 2 == 0;
            int at = switch (kind) {
                case MINIMUM -> 0;
                case MAXIMUM -> count - 1;
                case MEDIAN -> (count - 1) / 2;
                case PLACED -> place - 1;
            };
            List<Run> runs = new ArrayList<>();
            for (int n = 0; n < count; n++) {
                boolean isChosen = n == at || isBetween && n == at + 1;
                String number = Decimals.working(sorted.get(n));
                runs.add(isChosen ? Run.after("[" + number + "] ") : Run.plain(number + " "));
            }
            runs.add(Run.note("   place " + (at + 1) + (isBetween ? " and " + (at + 2) : "") + " of " + count));
            lines.add(new Line("sorted", runs));
            if (isBetween) {
                Value middle = valueOf(pixel);
                lines.add(Line.of("mean", Run.plain("(" + Decimals.working(sorted.get(at)) + " + "
                        + Decimals.working(sorted.get(at + 1)) + ") ÷ 2 = " + Decimals.working(middle))));
            }
            return lines;
        }
    }
}
