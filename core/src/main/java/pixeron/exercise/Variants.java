package pixeron.exercise;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.CancellationException;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.Stage;
import pixeron.image.Pixel;
import pixeron.image.Result;
import pixeron.make.Makers;
import pixeron.number.Draws;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Bound;
import pixeron.step.Common;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/**
 * Draws the variants of an exercise. Variant n follows from the exercise and its seed alone: choice c in draw d is value ⌊u(c) · count⌋
 * of its list, u(c) being drawn with seed + 2¹⁶ · n + d. It is drawn again until the wishes hold and it is not like an earlier one.
 *
 * <p>Where the number of the variant is in a line, no two can be alike, and each is drawn without those before it; else those
 * before it are drawn first, once. May be asked by several threads. Cost: the steps once for each draw, for at most ten seconds a variant.
 */
public final class Variants {

    /** So many variants can be had of one exercise. */
    public static final int MOST = 10_000;

    /** An exercise is calculated by hand, or by a small program; its image need not be larger. */
    private static final int MOST_PIXELS = 1 << 16;
    private static final int MOST_RESULT = 1 << 20;
    private static final int MOST_DRAWS = 1000;
    /** Drawing one variant takes a moment; where it does not end, the wishes hardly ever hold, or the steps are too much for a large image. */
    private static final int MOST_SECONDS = 10;
    private static final String UNLIKE = "steps that differ from those of earlier variants";
    private static final long PER_VARIANT = 1L << 16;

    private final Exercise exercise;
    private final Supplier<Progress> patience;
    private final Map<Integer, Variant> known = new TreeMap<>();
    private final Set<String> lines = new HashSet<>();

    public Variants(Exercise exercise) {
        this(exercise, () -> Progress.within(MOST_SECONDS));
    }

    /** @param patience made for each variant; says when drawing it has taken too long */
    Variants(Exercise exercise, Supplier<Progress> patience) {
        this.exercise = exercise;
        this.patience = patience;
    }

    public Exercise exercise() {
        return exercise;
    }

    /**
     * Returns the variant.
     *
     * @param number 1 to {@link #MOST}
     * @throws PixeronException if there is no such number, a line is not understood, or the wishes do not hold in any draw; says which
     */
    public Variant variant(int number) {
        return variant(number, Progress.NONE);
    }

    /**
     * Returns the variant.
     *
     * @param number 1 to {@link #MOST}
     * @throws PixeronException as {@link #variant(int)}
     * @throws CancellationException when progress says it is no longer wanted
     */
    public Variant variant(int number, Progress progress) {
        if (number < 1 || number > MOST) {
            throw PixeronException.of("There is no variant %d. Variants are counted from 1 to %d.", number, MOST);
        }
        if (exercise.namesVariant()) {
            return drawn(number, progress);
        }
        synchronized (known) {
            for (int earlier = known.size() + 1; earlier <= number; earlier++) {
                known.put(earlier, drawn(earlier, progress));
            }
            return known.get(number);
        }
    }

    /**
     * Returns the first so many.
     *
     * @param count 1 to {@link #MOST}
     * @throws PixeronException as {@link #variant(int)}
     */
    public List<Variant> first(int count) {
        return first(count, Progress.NONE);
    }

    /**
     * Returns the first so many.
     *
     * @param count 1 to {@link #MOST}
     * @throws PixeronException as {@link #variant(int)}
     * @throws CancellationException when progress says they are no longer wanted
     */
    public List<Variant> first(int count, Progress progress) {
        if (count < 1 || count > MOST) {
            throw PixeronException.of("%d variants are not possible. Use 1 to %d.", count, MOST);
        }
        List<Variant> all = new ArrayList<>();
        for (int n = 1; n <= count; n++) {
            all.add(variant(n, progress));
        }
        return all;
    }

    private Variant drawn(int number, Progress progress) {
        Progress patient = patience.get();
        Map<String, Integer> broken = new TreeMap<>();
        try {
            return drawn(number, broken, done -> progress.isWanted(done) && patient.isWanted(done));
        } catch (CancellationException stopped) {
            progress.report(0);
            throw PixeronException.of("No valid variant %d was found within %d seconds: %s. Use a smaller image, or change the steps or the constraints.", number, MOST_SECONDS,
                    broken.isEmpty() ? "its steps take too long" : "none of " + broken.values().stream().mapToInt(n -> n).sum() + " tries has " + most(broken));
        }
    }

    private static String most(Map<String, Integer> broken) {
        return broken.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
    }

    /** @param broken counts which wish did not hold */
    private Variant drawn(int number, Map<String, Integer> broken, Progress progress) {
        int draws = exercise.choices().stream().allMatch(choice -> choice.count() == 1) ? 1 : MOST_DRAWS;
        for (int draw = 0; draw < draws; draw++) {
            Map<String, String> values = values(number, draw);
            UnaryOperator<String> fill = text -> Exercise.filled(text, number, values);
            String line = exercise.image() instanceof GivenImage.Made made ? fill.apply(made.line()) : "";
            List<String> steps = exercise.steps().stream().map(fill).toList();
            if (lines.contains(line + steps)) {
                broken.merge(UNLIKE, 1, Integer::sum);
                continue;
            }
            Variant variant = new Variant(exercise, number, draw, values, chain(line, steps, progress));
            Optional<String> problem = broken(variant, progress);
            if (problem.isEmpty()) {
                if (!exercise.namesVariant()) {
                    lines.add(line + steps);
                }
                return variant;
            }
            broken.merge(problem.get(), 1, Integer::sum);
        }
        String most = most(broken);
        throw PixeronException.of("No valid variant %d: %s none has %s. To get one, %s.", number, draws == 1 ? "there are no random numbers, and"
                : "of " + draws + " tries", most, most.equals(UNLIKE) ? "use fewer variants, or choices with more values"
                        : "relax the constraints, or change the choices");
    }

    private Map<String, String> values(int number, int draw) {
        Draws draws = new Draws(exercise.seed() + PER_VARIANT * number + draw);
        Map<String, String> values = new LinkedHashMap<>();
        for (int c = 0; c < exercise.choices().size(); c++) {
            Choice choice = exercise.choices().get(c);
            values.put(choice.name(), choice.value(draws.below(c, choice.count())));
        }
        return values;
    }

    private Chain chain(String line, List<String> steps, Progress progress) {
        Result image;
        try {
            image = exercise.image() instanceof GivenImage.Samples samples ? samples.image() : Makers.gray(line, MOST_PIXELS);
        } catch (PixeronException problem) {
            throw PixeronException.because(problem, "Image \"%s\": %s", line, problem.getMessage());
        }
        Chain chain = Chain.of(image).withMostPixels(MOST_RESULT);
        for (String step : steps) {
            try {
                chain = chain.withStep(chain.size(), StepLine.parse(step));
            } catch (PixeronException problem) {
                throw PixeronException.because(problem, "Step %d, \"%s\": %s", chain.size() + 1, step, problem.getMessage());
            }
        }
        for (Stage stage : chain.stages()) {
            try {
                stage.after(progress).required();
            } catch (PixeronException problem) {
                throw PixeronException.because(problem, "%s", problem.getMessage());
            }
        }
        return chain;
    }

    /** Returns in words the first wish that does not hold; empty where all do. */
    private Optional<String> broken(Variant variant, Progress progress) {
        Wish wish = exercise.wish();
        int clipped = 0;
        for (Stage stage : wish.isAny() ? variant.chain().stages().subList(0, exercise.lastAsked() + 1) : List.<Stage>of()) {
            Bound bound = stage.bound(progress).orElseThrow();
            for (String face : bound.faces()) {
                Operation operation = bound.face(face).orElseThrow();
                boolean isFinished = operation.step().type().common().contains(Common.ROUNDING);
                boolean isRounded = isFinished && operation.step().rounding() != Rounding.NONE;
                for (Pixel pixel : wished(variant, stage.position(), face, operation)) {
                    progress.report(0);
                    Value exact = operation.exact(pixel);
                    if (wish.isWithoutTies() && isRounded && isTie(exact)) {
                        return Optional.of("results without rounding ties");
                    } else if (wish.decimals().isPresent() && decimals(exact) > wish.decimals().getAsInt()) {
                        return Optional.of("at most " + wish.decimals().getAsInt() + (wish.decimals().getAsInt() == 1 ? " decimal" : " decimals"));
                    }
                    clipped += isFinished && operation.finish().side(exact) != 0 ? 1 : 0;
                }
            }
        }
        return clipped < wish.clipped() ? Optional.of("at least " + wish.clipped() + " clipped") : Optional.empty();
    }

    /** Of the last step only the cells in question, where only cells of it are; of the others, which lead there, all. */
    private List<Pixel> wished(Variant variant, int position, String face, Operation operation) {
        List<Part> last = position < exercise.lastAsked() ? List.of() : exercise.asked().stream().filter(asked -> asked.position() == position).map(variant::part).toList();
        boolean isOfCells = !last.isEmpty() && last.stream().allMatch(part -> part instanceof Part.OfCells || part.asked().what() instanceof Asked.OnTheWay);
        return isOfCells ? last.stream().filter(part -> part instanceof Part.OfCells && part.face().equals(face)).flatMap(part -> ((Part.OfCells) part).pixels().stream())
                .distinct().toList() : IntStream.range(0, operation.frame().count()).mapToObj(operation.frame()::pixel).toList();
    }

    private static boolean isTie(Value exact) {
        return exact instanceof Rational number && !number.isWhole() && number.times(Rational.of(2)).isWhole();
    }

    private static int decimals(Value exact) {
        if (!(exact instanceof Rational number)) {
            return Integer.MAX_VALUE;
        }
        Rational shifted = number;
        for (int n = 0; n <= 9; n++) {
            if (shifted.isWhole()) {
                return n;
            }
            shifted = shifted.times(Rational.of(10));
        }
        return Integer.MAX_VALUE;
    }
}
