package pixeron.app.model;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.look.PixelSet;
import pixeron.project.Project;
import pixeron.project.ProjectWork;
import pixeron.step.Bound;
import pixeron.step.Inputs;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Wave;
import pixeron.step.color.WholePixel;
import pixeron.step.table.LevelRows;

/**
 * Everything that the bench shows of a project with one step selected, in layers: results, the findings about the values by
 * hand, lit pixels. Made away from the window's thread, then shown as a whole, so that no two places on the bench disagree;
 * a layer that nothing has changed is taken over.
 *
 * @param results what the steps give
 * @param marks the findings about the user's values
 * @param lit the pixels that are lit on all sheets
 */
public record Shown(Results results, Marks marks, Optional<Lit> lit) {

    /**
     * What the steps give.
     *
     * @param project what was calculated
     * @param at where a user looks
     * @param outcomes what came of each step
     * @param sides what is on both sides of the step
     * @param bound the selected step, bound to its input; empty for the image, and when the step is off or failed
     * @param inputs what the selected step is applied to; empty for the image, and when something failed before it
     */
    public record Results(Project project, At at, List<Outcome> outcomes, Sides sides, Optional<Bound> bound, Optional<Inputs> inputs) {
    }

    /**
     * Where a user looks.
     *
     * @param position the selected step from 0, or −1 for the image itself
     * @param channel the channel that is looked at where there is color
     */
    public record At(int position, String channel) {
    }

    /**
     * What is on both sides of a step.
     *
     * @param before the selected step's input; the image itself when that is selected
     * @param after the selected step's result; empty when there is none
     * @param other the other image that the selected step takes; empty when it takes none
     */
    public record Sides(Optional<Seen> before, Optional<Seen> after, Optional<Other> other) {
    }

    /**
     * Another image that a step takes.
     *
     * @param name how the step names it
     */
    public record Other(String name, Seen seen) {
    }

    /**
     * The findings about the user's values.
     *
     * @param steps all steps with what came of them
     * @param works all that was written, step by step
     * @param own the user's values for After
     * @param slips the findings about those that differ
     * @param whole the values for all faces together; empty where After has no color
     * @param start where the user's work on the whole chain first goes wrong; empty when nothing does
     */
    public record Marks(List<StepState> steps, List<StepWork> works, Own own, Slips slips, Optional<Whole> whole, Optional<Start> start) {
    }

    /**
     * The user's values for After, or for the channel of it that is looked at.
     *
     * @param sheet what was written
     * @param check the same against After
     * @param following the differing cells that follow from the step before or from the user's own tables
     */
    public record Own(HandSheet sheet, Check check, Following following) {
    }

    /**
     * The findings about values that differ.
     *
     * @param finder looks for the slips of the step; empty when there is no step
     * @param found what explains the values that differ, and those that nothing explains
     * @param isByTable whether a slip without a working of its own shows in the levels table of the step
     */
    public record Slips(Optional<SlipFinder> finder, Findings found, boolean isByTable) {
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

        /** Returns the pixels of the sheet that was searched. */
        public Optional<PixelSet> pixels() {
            return search.isAfter() ? after : before;
        }
    }

    /**
     * Calculates all of it.
     *
     * @param at a step of the project and a channel
     * @param known what was shown last, from which all is taken over that is still the same; may be null
     * @param search which pixels are to be lit
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    static Shown of(Project project, At at, Shown known, Optional<Search> search, Progress progress) {
        Optional<Shown> last = Optional.ofNullable(known);
        List<StepWork> works = ProjectWork.of(project, last.map(old -> old.marks.works).orElse(List.of()), progress);
        List<Outcome> outcomes = project.chain().stages().stream().map(stage -> stage.after(progress)).toList();
        Results results = at.position < 0 ? new Results(project, at, outcomes, new Sides(Optional.of(Seen.of(project.chain().input(), last, at.channel)),
                Optional.empty(), Optional.empty()), Optional.empty(), Optional.empty()) : ofStep(project, at, outcomes, last, progress);
        Shown shown = new Shown(results, marks(results, works, last, progress), Optional.empty());
        return shown.lighting(search, progress);
    }

    private static Results ofStep(Project project, At at, List<Outcome> outcomes, Optional<Shown> known, Progress progress) {
        Stage stage = project.chain().stage(at.position);
        Optional<Other> other = stage.others(progress).entrySet().stream().findFirst().map(found -> new Other(found.getKey(), Seen.of(found.getValue(), known, at.channel)));
        return new Results(project, at, outcomes, new Sides(seen(stage.before(progress), known, at.channel), seen(stage.after(progress), known, at.channel), other),
                stage.after(progress) instanceof Outcome.Done ? stage.bound(progress) : Optional.empty(), stage.inputs(Progress.NONE));
    }

    private static Optional<Seen> seen(Outcome outcome, Optional<Shown> known, String channel) {
        return outcome instanceof Outcome.Done done ? Optional.of(Seen.of(done.result(), known, channel)) : Optional.empty();
    }

    private static Marks marks(Results results, List<StepWork> works, Optional<Shown> known, Progress progress) {
        Project project = results.project;
        int position = results.at.position;
        List<StepState> steps = project.chain().stages().stream().map(stage -> new StepState(stage.link(),
                results.outcomes.get(stage.position()), new Check(works.stream().filter(work -> work.position() == stage.position())
                        .flatMap(work -> work.check().cells().stream()).toList()))).toList();
        String face = results.sides.after.map(after -> after.name(results.at.channel)).orElse("");
        Optional<StepWork> work = work(works, position, face);
        Optional<Whole> whole = position < 0 || results.sides.after.filter(Seen::isModel).isPresent() ? Optional.empty() : ProjectWork.color(project, position, works, progress)
                .map(color -> Whole.of(color, known.flatMap(Shown::whole), progress));
        Own own = work.map(found -> new Own(found.sheet(), found.check(), found.following()))
                .orElseGet(() -> new Own(position < 0 ? HandSheet.EMPTY : project.byHand(position, face).sheet(), Check.EMPTY, Following.NONE));
        // While only values by hand change, what slips would give stays.
        Optional<SlipFinder> finder = work.map(StepWork::operation).or(() -> results.bound.flatMap(bound -> bound.face(face))).map(operation -> known.flatMap(old -> old.marks.slips.finder)
                .filter(same -> same.isFor(operation)).orElseGet(() -> new SlipFinder(operation)));
        Optional<Shown> same = known.filter(old -> old.position() == position && work.isPresent() && finder.equals(old.marks.slips.finder)
                && work(old.marks.works, position, face).filter(found -> found == work.get()).isPresent());
        if (same.isPresent()) {
            return new Marks(steps, works, own, same.get().marks.slips, whole, Start.of(works));
        }
        Findings cells = finder.map(slips -> slips.find(own.following.rest(own.check), progress)).orElse(Findings.NONE);
        Findings found = work.map(written -> written.withShape(cells)).orElse(cells);
        // Only where it is asked for: the counts of a large image take their time.
        boolean isByTable = found.slips().stream().anyMatch(slip -> slip.done().isEmpty()) && work.orElseThrow().operation().tables().stream()
                .anyMatch(table -> table.kind().equals(LevelRows.LEVELS));
        return new Marks(steps, works, own, new Slips(finder, found, isByTable), whole, Start.of(works));
    }

    private static Optional<StepWork> work(List<StepWork> works, int position, String face) {
        return works.stream().filter(found -> found.position() == position && found.face().equals(face)).findFirst();
    }

    /**
     * Returns this with other pixels lit; nothing else is calculated.
     *
     * @param search which pixels are to be lit
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

    /** Returns all that is around the step. */
    Stream<Seen> seen() {
        return Stream.of(results.sides.before, results.sides.after, results.sides.other.map(Other::seen)).flatMap(Optional::stream);
    }

    /** Returns everything that is described. */
    Stream<Described> described() {
        return seen().flatMap(Seen::described);
    }

    public Project project() {
        return results.project;
    }

    /** Returns the selected step from 0, or −1 for the image itself. */
    public int position() {
        return results.at.position;
    }

    /** Returns the channel that is looked at where there is color. */
    public String channel() {
        return results.at.channel;
    }

    At at() {
        return results.at;
    }

    public List<StepState> steps() {
        return marks.steps;
    }

    /** Returns what is before the step, with all its faces. */
    public Optional<Seen> seenBefore() {
        return results.sides.before;
    }

    /** Returns what comes of the step, with all its faces. */
    public Optional<Seen> seenAfter() {
        return results.sides.after;
    }

    /** Returns the other image that the step takes. */
    public Optional<Other> other() {
        return results.sides.other;
    }

    /** Returns the pixel of the other image that a pixel of the result has something of; where there is no result the same place. */
    public Optional<Pixel> placeInOther(Pixel pixel) {
        return other().flatMap(other -> (operation().isPresent() ? operation().flatMap(Operation::beside).flatMap(beside -> beside.place().apply(pixel))
                : Optional.of(pixel)).filter(other.seen.frame()::contains));
    }

    /** Returns the pixel of the result that has something of a pixel of the other image; empty where none has. */
    public Optional<Pixel> homeOfOther(Pixel pixel) {
        return (operation().isPresent() ? operation().flatMap(Operation::beside).flatMap(beside -> beside.home().apply(pixel)) : Optional.of(pixel))
                .filter(grid()::contains);
    }

    /** Returns what the step is applied to. */
    public Optional<Inputs> inputs() {
        return results.inputs;
    }

    /** Returns what is before the step; where it has color the channel that is looked at. */
    public Optional<Described> before() {
        return results.sides.before.map(seen -> seen.face(channel()));
    }

    /** Returns what comes of the step; where it has color the channel that is looked at. */
    public Optional<Described> after() {
        return results.sides.after.map(seen -> seen.face(channel()));
    }

    /** Returns what the selected step gives, or the image itself; empty where it gives nothing. */
    public Optional<Seen> selected() {
        return position() < 0 ? seenBefore() : seenAfter();
    }

    /** Returns whether there is color on either side of the step. */
    public boolean hasColor() {
        return Stream.concat(seenBefore().stream(), seenAfter().stream()).anyMatch(Seen::hasColor);
    }

    /** Returns whether all channels of a pixel are worked out together: there is color, and no component of a color model comes of it. */
    public boolean isInColor() {
        return hasColor() && seenAfter().filter(Seen::isModel).isEmpty();
    }

    /** Returns whether there is a spectrum on either side of the step. */
    public boolean hasSpectrum() {
        return Stream.concat(seenBefore().stream(), seenAfter().stream()).anyMatch(Seen::isSpectrum);
    }

    /** Returns the result with the components of a color model, of After if both sides have them. */
    public Optional<Seen> model() {
        return Stream.concat(seenAfter().stream(), seenBefore().stream()).filter(Seen::isModel).findFirst();
    }

    /** Returns the face with which values in tables are kept: the tables of a spectrum are those of all its faces. */
    public String tableFace() {
        return results.sides.after.filter(Seen::isSpectrum).map(after -> after.names().get(0)).orElseGet(this::face);
    }

    /** Returns how another face of the result is calculated. */
    Optional<Operation> operation(String face) {
        return results.bound.flatMap(bound -> bound.face(face));
    }

    /** Returns the wave that a coefficient of After belongs to; empty where After is no spectrum. */
    public Optional<Wave> wave(Pixel pixel) {
        return operation().filter(found -> found.contains(pixel)).flatMap(found -> found.wave(pixel));
    }

    /** Returns the name of the face of After that is looked at. */
    public String face() {
        return results.sides.after.map(after -> after.name(channel())).orElse(Image.VALUE);
    }

    /** Returns the selected step, bound to its input, or to the channel that is looked at; empty when After is no result of a step. */
    public Optional<Operation> operation() {
        return results.bound.flatMap(bound -> bound.face(face()));
    }

    /** Returns what looks for slips of the step; empty when there is none. */
    Optional<SlipFinder> finder() {
        return marks.slips.finder;
    }

    /** Returns what is to be known of the result of the step, one sentence each. */
    public List<String> notes() {
        return results.bound.map(Bound::notes).orElse(List.of());
    }

    /** Returns all channels of a pixel together, as they are calculated; empty where there is no color on either side. */
    public Optional<WholePixel> wholePixel(boolean isPacked) {
        return !isInColor() ? Optional.empty() : results.bound.map(bound -> new WholePixel(bound, seenBefore().orElseThrow().result(),
                seenAfter().orElseThrow().result(), isPacked));
    }

    /** Returns the user's values for all faces together; empty where After has no color. */
    public Optional<Whole> whole() {
        return marks.whole;
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

    /** Returns the pixels that are lit on the sheet that was searched. */
    public Optional<PixelSet> litPixels() {
        return lit.flatMap(Lit::pixels);
    }

    /** Returns what explains the values that differ, best first. */
    public List<Explanation> slips() {
        return found().slips();
    }

    /** Returns the frame of the result, in which pixels are picked and values are written by hand; without a result that of Before. */
    public Frame grid() {
        return after().or(this::before).map(found -> found.image().frame()).orElseGet(() -> project().chain().input().frame());
    }

    /** Returns the frame of Before; without one that of the result. */
    public Frame gridBefore() {
        return before().map(found -> found.image().frame()).orElseGet(this::grid);
    }

    /** Returns the pixel of Before that a pixel of the result represents; empty where it represents none. */
    public Optional<Pixel> counterpart(Pixel pixel) {
        return (operation().isPresent() ? operation().filter(found -> found.contains(pixel)).flatMap(found -> found.counterpart(pixel))
                : Optional.of(pixel)).filter(gridBefore()::contains);
    }

    /** Returns the result pixel that a pixel of Before went to; empty where it went nowhere. */
    public Optional<Pixel> home(Pixel pixel) {
        return (operation().isPresent() ? operation().flatMap(found -> found.home(pixel)) : Optional.of(pixel)).filter(grid()::contains);
    }

    /** Returns how many values by hand there can be. */
    public int answers() {
        return after().map(described -> described.image().count()).orElse(0);
    }

    /** Returns why the selected step has no result, if it has none. */
    public Optional<Outcome.Failed> failure() {
        return position() >= 0 && results.outcomes.get(position()) instanceof Outcome.Failed failed ? Optional.of(failed)
                : Optional.empty();
    }
}
