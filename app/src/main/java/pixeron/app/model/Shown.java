package pixeron.app.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.byhand.Check;
import pixeron.byhand.Following;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.search.Explanation;
import pixeron.byhand.slip.search.Findings;
import pixeron.byhand.slip.search.SlipFinder;
import pixeron.byhand.work.Start;
import pixeron.byhand.work.StepWork;
import pixeron.chain.Outcome;
import pixeron.chain.Stage;
import pixeron.image.Frame;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.image.Pixel;
import pixeron.look.PixelSet;
import pixeron.project.Project;
import pixeron.project.ProjectWork;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.gray.GraySource;
import pixeron.step.table.LevelRows;

/**
 * Everything that the bench shows of a project with one step selected, in layers: results, what is said of the values by
 * hand, lit pixels. Made away from the window's thread, then shown as a whole, so that no two places on the bench disagree;
 * a layer that nothing has changed is taken over.
 *
 * @param results what the steps give
 * @param marks what is said of the person's values
 * @param lit the pixels that are lit on all sheets
 */
public record Shown(Results results, Marks marks, Optional<Lit> lit) {

    /**
     * What the steps give.
     *
     * @param project what was calculated
     * @param position the selected step from 0, or −1 for the image itself
     * @param outcomes what came of each step
     * @param sides the images on both sides of the step
     * @param explained how After is worked out; empty when the step is off or failed, or the image was not made here
     */
    public record Results(Project project, int position, List<Outcome> outcomes, Sides sides,
            Optional<? extends Explained> explained) {
    }

    /**
     * The images on both sides of a step.
     *
     * @param before the selected step's input with its facts; the image itself when that is selected and was not made of a
     *     colour picture
     * @param after the selected step's result with its facts, or the gray that was made of a colour picture; empty when
     *     there is none
     * @param channels red, green, blue and perhaps alpha of the colour picture that After is made of; else empty
     */
    public record Sides(Optional<Described> before, Optional<Described> after, List<Described> channels) {
    }

    /**
     * What is said of the person's values.
     *
     * @param steps all steps with what came of them
     * @param works all that was written, step by step
     * @param own the person's values for After
     * @param slips what is said of those that differ
     * @param start where the person's work on the whole chain first goes wrong; empty when nothing does
     */
    public record Marks(List<StepState> steps, List<StepWork> works, Own own, Slips slips, Optional<Start> start) {
    }

    /**
     * The person's values for After.
     *
     * @param sheet what was written
     * @param check the same against After
     * @param following the differing cells that follow from the step before or from the person's own tables
     */
    public record Own(HandSheet sheet, Check check, Following following) {
    }

    /**
     * What is said of values that differ.
     *
     * @param finder looks for the slips of the step; empty when there is no step
     * @param found what explains the values that differ, and those that nothing explains
     * @param isByTable whether a slip without a working of its own shows in the levels table of the step
     */
    public record Slips(Optional<SlipFinder> finder, Findings found, boolean isByTable) {
    }

    /**
     * An image with what is said about it.
     *
     * @param image the samples
     * @param facts smallest, largest, mean
     * @param histogram counts of levels; empty for an open image
     * @param smaller the image made smaller, for drawing it as a picture
     */
    public record Described(Image image, ImageFacts facts, Optional<Histogram> histogram, Reductions smaller) {

        /** @return an image with its facts, in a few passes over its pixels */
        public static Described of(Image image) {
            Optional<Histogram> histogram = image.isLevelImage() ? Optional.of(Histogram.of(image)) : Optional.empty();
            return new Described(image, histogram.map(counts -> ImageFacts.ofLevels(counts, image.count()))
                    .orElseGet(() -> ImageFacts.of(image)), histogram, Reductions.of(image));
        }
    }

    /**
     * Pixels that are lit.
     *
     * @param search what was searched for
     * @param before the pixels of Before; empty when the search failed
     * @param after the pixels of After
     * @param problem why it failed; empty when it did not
     */
    public record Lit(Search search, Optional<PixelSet> before, Optional<PixelSet> after, String problem) {

        /** @return the pixels of the sheet that was searched */
        public Optional<PixelSet> pixels() {
            return search.isAfter() ? after : before;
        }
    }

    /**
     * Calculates all of it.
     *
     * @param position of a step of the project, or −1
     * @param known what was shown last, from which all is taken over that is still the same; may be null
     * @param search which pixels are to be lit
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    static Shown of(Project project, int position, Shown known, Optional<Search> search, Progress progress) {
        List<StepWork> works = ProjectWork.of(project, known == null ? List.of() : known.marks.works, progress);
        List<Outcome> outcomes = project.chain().stages().stream().map(stage -> stage.after(progress)).toList();
        Results results = position < 0 ? ofSource(project, outcomes, known) : ofStep(project, position, outcomes, works, known,
                progress);
        Shown shown = new Shown(results, marks(results, works, known, progress), Optional.empty());
        return shown.lighting(search, progress);
    }

    private static Results ofSource(Project project, List<Outcome> outcomes, Shown known) {
        Optional<Described> image = Optional.of(described(project.chain().source(), known));
        if (project.gray().isEmpty()) {
            return new Results(project, -1, outcomes, new Sides(image, Optional.empty(), List.of()), Optional.empty());
        }
        List<Described> channels = project.gray().get().picture().faces().stream().map(face -> described(face.image(), known))
                .toList();
        return new Results(project, -1, outcomes, new Sides(Optional.empty(), image, channels), project.gray());
    }

    private static Results ofStep(Project project, int position, List<Outcome> outcomes, List<StepWork> works, Shown known,
            Progress progress) {
        Stage stage = project.chain().stage(position);
        Optional<Operation> operation = works.stream().filter(found -> found.position() == position).findFirst()
                .map(StepWork::operation);
        return new Results(project, position, outcomes, new Sides(described(stage.before(progress), known),
                described(stage.after(progress), known), List.of()), operation);
    }

    private static Marks marks(Results results, List<StepWork> works, Shown known, Progress progress) {
        Project project = results.project;
        int position = results.position;
        List<StepState> steps = project.chain().stages().stream().map(stage -> new StepState(stage.link(),
                results.outcomes.get(stage.position()), work(works, stage.position()).map(StepWork::check).orElse(Check.EMPTY)))
                .toList();
        Optional<StepWork> work = work(works, position);
        HandSheet sheet = position < 0 && project.gray().isEmpty() ? HandSheet.EMPTY : project.sheet(position);
        Check check = position < 0 ? project.gray().map(gray -> Check.of(sheet, gray)).orElse(Check.EMPTY)
                : steps.get(position).check();
        Following following = work.map(StepWork::following).orElse(Following.NONE);
        Own own = new Own(sheet, check, following);
        // While only values by hand change, what slips would give stays.
        Optional<SlipFinder> finder = results.explained.flatMap(explained -> Optional.ofNullable(known)
                .flatMap(old -> old.marks.slips.finder).filter(same -> same.isFor(explained)).or(() -> finder(explained)));
        if (known != null && work.isPresent() && work(known.marks.works, position).filter(old -> old == work.get()).isPresent()
                && known.position() == position && finder.equals(known.marks.slips.finder)) {
            return new Marks(steps, works, own, known.marks.slips, Start.of(works));
        }
        Findings found = finder.map(slips -> slips.find(following.rest(check), progress)).orElse(Findings.NONE);
        // Only where it is asked for: the counts of a large image take their time.
        boolean isByTable = found.slips().stream().anyMatch(slip -> slip.done().isEmpty())
                && results.explained.orElse(null) instanceof Operation operation
                && operation.tables().stream().anyMatch(table -> table.kind().equals(LevelRows.LEVELS));
        return new Marks(steps, works, own, new Slips(finder, found, isByTable), Start.of(works));
    }

    private static Optional<SlipFinder> finder(Explained explained) {
        return explained instanceof Operation operation ? Optional.of(new SlipFinder(operation))
                : explained instanceof GraySource gray ? Optional.of(new SlipFinder(gray)) : Optional.empty();
    }

    private static Optional<StepWork> work(List<StepWork> works, int position) {
        return works.stream().filter(found -> found.position() == position).findFirst();
    }

    /**
     * @param search which pixels are to be lit
     * @return this with other pixels lit; nothing else is calculated
     */
    Shown lighting(Optional<Search> search, Progress progress) {
        return new Shown(results, marks, search.flatMap(wanted -> lit(wanted, progress)));
    }

    private Optional<Lit> lit(Search search, Progress progress) {
        Optional<Described> searched = search.isAfter() ? after() : before();
        try {
            return searched.map(described -> lit(search, search.in(described, progress)));
        } catch (PixeronException withoutValue) {
            return Optional.of(new Lit(search, Optional.empty(), Optional.empty(), withoutValue.getMessage()));
        }
    }

    /** What was found on one sheet lights on the other where it came from, or went to. */
    private Lit lit(Search search, PixelSet pixels) {
        Optional<Operation> moving = operation().filter(Operation::isMoving);
        Optional<Described> other = search.isAfter() ? before() : after();
        Optional<PixelSet> there = moving.isEmpty() || other.isEmpty() ? Optional.of(pixels)
                : moving.map(operation -> search.isAfter() ? pixels.in(other.get().image().frame(), operation::home)
                        : pixels.in(other.get().image().frame(), operation::counterpart));
        return search.isAfter() ? new Lit(search, there, Optional.of(pixels), "") : new Lit(search, Optional.of(pixels), there, "");
    }

    private static Optional<Described> described(Outcome outcome, Shown known) {
        return outcome instanceof Outcome.Done done ? Optional.of(described(done.image(), known)) : Optional.empty();
    }

    private static Described described(Image image, Shown known) {
        if (known != null) {
            List<Described> all = new ArrayList<>(known.channels());
            known.before().ifPresent(all::add);
            known.after().ifPresent(all::add);
            for (Described old : all) {
                if (old.image() == image) {
                    return old;
                }
            }
        }
        return Described.of(image);
    }

    public Project project() {
        return results.project;
    }

    /** @return the selected step from 0, or −1 for the image itself */
    public int position() {
        return results.position;
    }

    public List<StepState> steps() {
        return marks.steps;
    }

    public Optional<Described> before() {
        return results.sides.before;
    }

    public Optional<Described> after() {
        return results.sides.after;
    }

    public List<Described> channels() {
        return results.sides.channels;
    }

    public Optional<? extends Explained> explained() {
        return results.explained;
    }

    /** @return the selected step, bound to its input; empty when After is no result of a step */
    public Optional<Operation> operation() {
        return results.explained.filter(Operation.class::isInstance).map(Operation.class::cast);
    }

    public HandSheet sheet() {
        return marks.own.sheet;
    }

    public Check check() {
        return marks.own.check;
    }

    public Following following() {
        return marks.own.following;
    }

    public Findings found() {
        return marks.slips.found;
    }

    public Optional<Start> start() {
        return marks.start;
    }

    public boolean isByTable() {
        return marks.slips.isByTable;
    }

    /** @return the colour picture that After is made of, when that is what is shown */
    public Optional<GraySource> colour() {
        return position() < 0 ? project().gray() : Optional.empty();
    }

    /** @return the pixels that are lit on the sheet that was searched */
    public Optional<PixelSet> litPixels() {
        return lit.flatMap(Lit::pixels);
    }

    /** @return what explains the values that differ, best first */
    public List<Explanation> slips() {
        return found().slips();
    }

    /** @return the frame of the result, in which pixels are picked and values are written by hand; without a result that of Before */
    public Frame grid() {
        return after().or(this::before).map(found -> found.image().frame()).orElseGet(() -> project().chain().source().frame());
    }

    /** @return the frame of Before; without one that of the result */
    public Frame gridBefore() {
        return before().map(found -> found.image().frame()).orElseGet(this::grid);
    }

    /** @return the pixel of Before that a pixel of the result stands for; empty where it stands for none */
    public Optional<Pixel> counterpart(Pixel pixel) {
        return (operation().isPresent() ? operation().filter(found -> found.contains(pixel)).flatMap(found -> found.counterpart(pixel))
                : Optional.of(pixel)).filter(gridBefore()::contains);
    }

    /** @return the result pixel that a pixel of Before went to; empty where it went nowhere */
    public Optional<Pixel> home(Pixel pixel) {
        return (operation().isPresent() ? operation().flatMap(found -> found.home(pixel)) : Optional.of(pixel)).filter(grid()::contains);
    }

    /** @return how many values by hand there can be */
    public int answers() {
        return after().map(described -> described.image().count()).orElse(0);
    }

    /** @return why the selected step has no result, if it has none */
    public Optional<Outcome.Failed> failure() {
        return position() >= 0 && results.outcomes.get(position()) instanceof Outcome.Failed failed ? Optional.of(failed)
                : Optional.empty();
    }
}
