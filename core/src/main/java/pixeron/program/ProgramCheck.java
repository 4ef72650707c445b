package pixeron.program;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import pixeron.PixeronException;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.Verdict;
import pixeron.byhand.answer.Answer;
import pixeron.byhand.answer.AnswerFile;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.chain.Chain;
import pixeron.chain.Stage;
import pixeron.format.ImageFiles;
import pixeron.image.Frame;
import pixeron.image.Image;
import pixeron.image.Result;
import pixeron.number.Decimals;
import pixeron.number.Draws;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Reference;

/**
 * Runs a person's program on the image of a chain, and on images by chance, and checks what it writes against the last step.
 *
 * <p>Case 0 is the image itself. Case n from 1 on has the same size and maximum level; sample(offset) is ⌊u(offset) · (M + 1)⌋ with seed + n.
 */
public final class ProgramCheck {

    /** So many images by chance, at most. */
    public static final int MOST_CASES = 10_000;

    private static final int MOST_TRIED = 60;
    /** Of larger images only those that are nearly square are tried: a run of a program takes its time. */
    private static final int MOST_OF_ANY_SHAPE = 6;

    /**
     * How a program is run.
     *
     * @param seed of the images by chance
     * @param limits of one run
     * @param from the folder that names of files in the command are meant from
     * @param face of the result that is checked
     */
    public record Conditions(long seed, ProgramLimits limits, Path from, String face) {
    }

    /**
     * What is said of one run.
     *
     * @param number of the case
     * @param image that the program was given
     * @param operation the last step on it
     * @param sheet what the program wrote; nothing where it failed
     * @param check of that
     * @param problem why there is nothing to be checked, or what is wrong with its shape; empty where there is nothing
     * @param said what it printed
     */
    public record Case(int number, Image image, Operation operation, HandSheet sheet, Check check, Optional<String> problem, String said) {

        /** @return whether everything that was asked for is there and right */
        public boolean isRight() {
            return problem.isEmpty() && check.agree() == operation.frame().count();
        }

        /** @return what explains the cells that differ */
        public Findings findings(Progress progress) {
            return new SlipFinder(operation).find(check, progress);
        }
    }

    /**
     * What is said of several runs.
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
     * @param chain begins with an image and has at least one step
     * @throws PixeronException if it begins with something else, or the command reads another image and no step names one
     */
    public ProgramCheck(ProgramCommand command, Chain chain, Conditions conditions) {
        this.command = command;
        this.chain = chain;
        this.conditions = conditions;
        if (!(chain.input() instanceof Image)) {
            throw PixeronException.of("A program is checked on an image; this one has colour: make it gray first, or take one channel.");
        } else if (command.readsOther() && other().isEmpty()) {
            throw PixeronException.of("The command reads {with}, and no step names another image.");
        }
    }

    private Optional<Image> other() {
        return chain.links().stream().flatMap(link -> link.step().references().stream()).filter(name -> Reference.step(name).isEmpty())
                .filter(name -> chain.others().containsKey(Reference.other(name).image())).map(name -> chain.other(name, Progress.NONE))
                .filter(Image.class::isInstance).map(Image.class::cast).findFirst();
    }

    /** @return what is said of the image itself */
    public Case onImage(Progress progress) {
        return on(0, (Image) chain.input(), progress);
    }

    /**
     * @param number from 1
     * @return what is said of an image by chance
     */
    public Case onCase(int number, Progress progress) {
        return on(number, drawn(chain.input().frame(), conditions.seed() + number), progress);
    }

    /**
     * @param cases so many images by chance, from 0
     * @param isSearching whether the smallest image is looked for where something is wrong
     * @return what is said of the image itself and of those
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

    /** @return an image by chance */
    static Image drawn(Frame frame, long seed) {
        Draws draws = new Draws(seed);
        return Image.ofLevels(frame.rows(), frame.columns(), frame.maximumLevel(), n -> (int) draws.below(n, frame.maximumLevel() + 1L));
    }

    /** @return the smallest image by chance, up to the size of the image, on which the program is wrong; nearly square ones above 6 pixels; empty where none was found */
    public Optional<Case> smallest(Progress progress) {
        Frame frame = chain.input().frame();
        List<Frame> sizes = IntStream.rangeClosed(1, frame.rows()).limit(MOST_TRIED).boxed().flatMap(rows -> IntStream.rangeClosed(1, frame.columns()).limit(MOST_TRIED)
                .mapToObj(columns -> new Frame(rows, columns, frame.maximumLevel()))).filter(size -> size.count() <= MOST_OF_ANY_SHAPE
                        || Math.abs(size.rows() - size.columns()) <= 1).sorted(Comparator.comparingInt(Frame::count).thenComparing(Frame::rows))
                .limit(MOST_TRIED).toList();
        for (int n = 0; n < sizes.size(); n++) {
            progress.report((double) n / sizes.size());
            Image image = drawn(sizes.get(n), conditions.seed() + 1);
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

    private Case on(int number, Image image, Progress progress) {
        Chain given = chain.onSource(image);
        Stage last = given.stage(given.size() - 1);
        last.after(progress).required();
        Operation operation = last.bound(progress).orElseThrow().face(conditions.face()).orElseThrow(() -> PixeronException.of(
                "The result has no face \"%s\".", conditions.face()));
        Path folder = newFolder();
        try {
            return on(number, image, operation, folder, progress);
        } finally {
            delete(folder);
        }
    }

    private Case on(int number, Image image, Operation operation, Path folder, Progress progress) {
        Path out = folder.resolve("out.csv");
        command.files().forEach((braces, ending) -> {
            if (braces.startsWith("{in")) {
                write(folder.resolve("in." + ending), image);
            } else if (braces.startsWith("{with")) {
                write(folder.resolve("with." + ending), other().orElseThrow());
            }
        });
        ProgramRun run = ProgramRun.of(command.with(conditions.from(), (name, ending) -> name.equals("out") ? out : folder.resolve(name + "." + ending)), folder,
                conditions.limits(), progress);
        if (run.problem().isPresent()) {
            return failed(number, image, operation, run.problem().get(), run.said());
        } else if (!Files.exists(out)) {
            return failed(number, image, operation, "The program wrote nothing: there is no file {out}.", run.said());
        }
        try {
            Answer answer = AnswerFile.read(out, operation.frame()).stream().filter(found -> !found.isSwapped()).findFirst().orElseThrow(() -> PixeronException.of(
                    "its rows are the columns of the result."));
            HandSheet sheet = answer.sheet(operation.frame());
            Frame grid = operation.frame();
            Optional<String> shape = answer.otherShape().map(other -> "The program wrote " + other.rows() + " × " + other.columns() + " values, and the result has "
                    + grid.rows() + " × " + grid.columns() + ".");
            Check check = Check.of(sheet, operation);
            Optional<CellCheck> strange = check.cells().stream().filter(cell -> cell.state() == Verdict.NOT_UNDERSTOOD).findFirst();
            if (strange.isPresent()) {
                return failed(number, image, operation, "What the program wrote is not understood: at " + strange.get().pixel() + " stands \""
                        + Decimals.shortened(strange.get().byHand().text()) + "\", which is no number.", run.said());
            }
            Optional<String> blank = shape.isPresent() || check.filled() == grid.count() ? shape
                    : Optional.of("The program wrote " + check.filled() + " of " + grid.count() + " values.");
            return new Case(number, image, operation, sheet, check, blank, run.said());
        } catch (PixeronException notUnderstood) {
            return failed(number, image, operation, "What the program wrote is not understood: " + notUnderstood.getMessage().replaceFirst("^out\\.csv: ", ""), run.said());
        }
    }

    private static Case failed(int number, Image image, Operation operation, String problem, String said) {
        return new Case(number, image, operation, HandSheet.EMPTY, Check.EMPTY, Optional.of(problem), said);
    }

    private static void write(Path file, Result image) {
        ImageFiles.write(file, image, false);
    }

    private static Path newFolder() {
        try {
            return Files.createTempDirectory("pixeron-program");
        } catch (IOException trouble) {
            throw PixeronException.because(trouble, "A folder for the program cannot be made: %s.", trouble.getMessage());
        }
    }

    private static void delete(Path folder) {
        try (Stream<Path> all = Files.walk(folder)) {
            List<Path> deepestFirst = new ArrayList<>(all.sorted(Comparator.reverseOrder()).toList());
            for (Path file : deepestFirst) {
                Files.deleteIfExists(file);
            }
        } catch (IOException leftToTheSystem) {
            // The system clears its folder for temporary files.
        }
    }
}
