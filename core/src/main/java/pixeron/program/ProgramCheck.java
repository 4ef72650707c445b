package pixeron.program;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.Verdict;
import pixeron.byhand.answer.Answer;
import pixeron.byhand.answer.AnswerFile;
import pixeron.byhand.answer.ColorAnswer;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.chain.Chain;
import pixeron.chain.Stage;
import pixeron.image.ColorImage;
import pixeron.image.Components;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Draws;
import pixeron.recipe.ResultFile;
import pixeron.step.Bound;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Reference;

/**
 * Runs a user's program on the image of a chain, and on random images, and checks what it writes against the last step.
 *
 * <p>Case 0 is the image itself. Case n from 1 on has the same size and maximum level; sample(offset) is ⌊u(offset) · (M + 1)⌋ with seed + n.
 */
public final class ProgramCheck {

    /** So many random images, at most. */
    public static final int MOST_CASES = 10_000;

    /** What a program may write: so many bytes, and so many more for each value of the result. */
    private static final long MOST_WRITTEN = 1 << 20;
    private static final long MOST_PER_VALUE = 512;
    private static final int MOST_TRIED = 60;
    /** Of larger images only those that are nearly square are tried: a run of a program takes its time. */
    private static final int MOST_OF_ANY_SHAPE = 6;

    /**
     * How a program is run.
     *
     * @param seed of the random images
     * @param limits of one run
     * @param from the folder that names of files in the command are meant from
     * @param face of the result that is checked
     */
    public record Conditions(long seed, ProgramLimits limits, Path from, String face) {
    }

    /**
     * The findings about one run.
     *
     * @param number of the case
     * @param image that the program was given
     * @param right the last step on it; of a result in color all channels abreast
     * @param sheet what the program wrote; nothing where it failed
     * @param check of that
     * @param problem why there is nothing to be checked, or what is wrong with its shape; empty where there is nothing
     * @param said the text it printed
     */
    public record Case(int number, Result image, Explained right, HandSheet sheet, Check check, Optional<String> problem, String said) {

        /** Returns whether everything that was asked for is there and right. */
        public boolean isRight() {
            return problem.isEmpty() && check.agree() == right.frame().count();
        }

        /** Returns what explains the cells that differ. */
        public Findings findings(Progress progress) {
            SlipFinder finder = right instanceof Abreast faces ? new SlipFinder(faces) : new SlipFinder((Operation) right);
            return finder.find(check, progress);
        }
    }

    /**
     * The findings about several runs.
     *
     * @param all the image itself, then those by chance
     * @param smallest the smallest image that was found on which it goes wrong, where one was looked for
     */
    public record Outcome(List<Case> all, Optional<Case> smallest) {

        public boolean isRight() {
            return all.stream().allMatch(Case::isRight);
        }
    }

    private final ProgramCommand command;
    private final Chain chain;
    private final Conditions conditions;

    /**
     * Checks that a program can be compared with the chain.
     *
     * @param chain has at least one step
     * @throws PixeronException if the command reads another image and no step names one
     */
    public ProgramCheck(ProgramCommand command, Chain chain, Conditions conditions) {
        this.command = command;
        this.chain = chain;
        this.conditions = conditions;
        if (command.readsOther() && other().isEmpty()) {
            throw PixeronException.of("The command reads {with}, but no step uses another image.");
        }
    }

    private Optional<Result> other() {
        return chain.links().stream().flatMap(link -> link.step().references().stream()).filter(name -> Reference.step(name).isEmpty())
                .filter(name -> chain.others().containsKey(Reference.other(name).image())).map(name -> chain.other(name, Progress.NONE)).findFirst();
    }

    /** Returns the findings about the image itself. */
    public Case onImage(Progress progress) {
        return on(0, chain.input(), progress);
    }

    /**
     * Returns the findings about a random image.
     *
     * @param number from 1
     */
    public Case onCase(int number, Progress progress) {
        return on(number, drawn(chain.input(), chain.input().frame(), conditions.seed() + number), progress);
    }

    /**
     * Returns the findings about the image itself and of those.
     *
     * @param cases so many random images, from 0
     * @param isSearching whether the smallest image is looked for where something is wrong
     */
    public Outcome run(int cases, boolean isSearching, Progress progress) {
        List<Case> all = new ArrayList<>(List.of(onImage(progress)));
        for (int n = 1; n <= cases; n++) {
            progress.report((double) n / (cases + 1));
            all.add(onCase(n, progress));
        }
        Outcome outcome = new Outcome(List.copyOf(all), Optional.empty());
        return outcome.isRight() || !isSearching ? outcome : new Outcome(outcome.all(), smallest(progress));
    }

    /**
     * Returns a random image.
     *
     * @param like has as many channels; the planes of an image in color are drawn one after the other
     */
    static Result drawn(Result like, Frame frame, long seed) {
        Draws draws = new Draws(seed);
        if (like instanceof ColorImage) {
            List<Image> planes = new ArrayList<>();
            for (int c = 0; c < like.faces().size(); c++) {
                int first = c * frame.count();
                planes.add(Image.ofLevels(frame.rows(), frame.columns(), frame.maximumLevel(), n -> (int) draws.below(first + n, frame.maximumLevel() + 1L)));
            }
            return ColorImage.of(planes);
        }
        return Image.ofLevels(frame.rows(), frame.columns(), frame.maximumLevel(), n -> (int) draws.below(n, frame.maximumLevel() + 1L));
    }

    /** Returns the smallest random image, up to the size of the image, on which the program is wrong; nearly square ones above 6 pixels; empty where none was found. */
    public Optional<Case> smallest(Progress progress) {
        Frame frame = chain.input().frame();
        List<Frame> sizes = IntStream.rangeClosed(1, frame.rows()).limit(MOST_TRIED).boxed().flatMap(rows -> IntStream.rangeClosed(1, frame.columns()).limit(MOST_TRIED)
                .mapToObj(columns -> new Frame(rows, columns, frame.maximumLevel()))).filter(size -> size.count() <= MOST_OF_ANY_SHAPE
                        || Math.abs(size.rows() - size.columns()) <= 1).sorted(Comparator.comparingInt(Frame::count).thenComparing(Frame::rows))
                .limit(MOST_TRIED).toList();
        for (int n = 0; n < sizes.size(); n++) {
            progress.report((double) n / sizes.size());
            Result image = drawn(chain.input(), sizes.get(n), conditions.seed() + 1);
            try {
                Case found = on(1, image, progress);
                if (!found.isRight()) {
                    return Optional.of(found);
                }
            } catch (PixeronException notThere) {
                // Some steps give nothing for images as small as this.
                continue;
            }
        }
        return Optional.empty();
    }

    private Case on(int number, Result image, Progress progress) {
        Chain given = chain.onSource(image);
        Stage last = given.stage(given.size() - 1);
        last.after(progress).required();
        Explained right = right(last, progress);
        Path folder = ProgramFolder.make();
        try {
            return on(number, image, right, folder, progress);
        } finally {
            ProgramFolder.delete(folder);
        }
    }

    /** Of a result in color all channels are checked, unless one is wanted. */
    private Explained right(Stage last, Progress progress) {
        Bound bound = last.bound(progress).orElseThrow();
        if (last.after(progress).required() instanceof Components color && conditions.face().equals(Image.VALUE)) {
            return new Abreast(bound, last.before(progress).required(), color);
        }
        return bound.face(conditions.face()).orElseThrow(() -> PixeronException.of("The result has no component \"%s\".", conditions.face()));
    }

    private Case on(int number, Result image, Explained right, Path folder, Progress progress) {
        Path out = folder.resolve("out." + command.ending("out"));
        command.files().forEach((braces, ending) -> {
            if (braces.startsWith("{in")) {
                write(folder.resolve("in." + ending), image);
            } else if (braces.startsWith("{with")) {
                write(folder.resolve("with." + ending), other().orElseThrow());
            }
        });
        ProgramRun run = ProgramRun.of(command.with(conditions.from(), (name, ending) -> name.equals("out") ? out : folder.resolve(name + "." + ending)), folder, command.prints() ? Optional.of(out) : Optional.empty(),
                conditions.limits(), progress);
        if (run.problem().isPresent()) {
            return failed(number, image, right, run.problem().get(), run.said());
        } else if (!Files.exists(out)) {
            return failed(number, image, right, "The program wrote no file {out}.", run.said());
        } else if (command.prints() && out.toFile().length() == 0) {
            return failed(number, image, right, "The program printed nothing. Print the result, or write it to {out}.", run.said());
        }
        Frame grid = right.frame();
        long bytes = out.toFile().length();
        // Reading it belongs to the time of the program: it is not even begun where it would take long.
        if (bytes > MOST_WRITTEN + MOST_PER_VALUE * grid.count()) {
            return failed(number, image, right, "The program wrote " + (bytes >> 10) + " KiB, too much for a result of " + grid.size() + ".", run.said());
        }
        try {
            Written written = right instanceof Abreast faces ? new Written(ColorAnswer.read(out, faces), Optional.empty()) : ofOne(out, grid);
            HandSheet sheet = written.sheet();
            Optional<String> shape = written.problem();
            Check check = Check.of(sheet, right);
            Optional<CellCheck> strange = check.cells().stream().filter(cell -> cell.state() == Verdict.NOT_UNDERSTOOD).findFirst();
            if (strange.isPresent()) {
                return failed(number, image, right, "Cannot read the output of the program: at " + strange.get().pixel() + " found \""
                        + Decimals.shortened(strange.get().byHand().text()) + "\", which is not a number.", run.said());
            }
            Optional<String> blank = shape.isPresent() || check.filled() == grid.count() ? shape
                    : Optional.of("The program wrote " + check.filled() + " of " + grid.count() + " values.");
            return new Case(number, image, right, sheet, check, blank, run.said());
        } catch (PixeronException notUnderstood) {
            return failed(number, image, right, "Cannot read the output of the program: " + notUnderstood.getMessage().replaceFirst("^out\\.[a-z]+: ", ""), run.said());
        }
    }

    /** What a program wrote, and what is wrong with its shape. */
    private record Written(HandSheet sheet, Optional<String> problem) {
    }

    private static Written ofOne(Path out, Frame grid) {
        Answer answer = AnswerFile.read(out, grid).stream().filter(found -> !found.isSwapped()).findFirst().orElseThrow(() -> PixeronException.of(
                "Its rows are the columns of the result."));
        return new Written(answer.sheet(grid), answer.otherShape().map(other -> "The program wrote " + other.rows() + " × " + other.columns() + " values, but the result has "
                + grid.rows() + " × " + grid.columns() + "."));
    }

    private static Case failed(int number, Result image, Explained right, String problem, String said) {
        return new Case(number, image, right, HandSheet.EMPTY, Check.EMPTY, Optional.of(problem), said);
    }

    /** A table holds an image in color as packed pixels. */
    private static void write(Path file, Result image) {
        ResultFile.write(file, image, new ResultFile.Wish(Optional.empty(), false, true));
    }
}
