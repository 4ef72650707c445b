package pixeron.app.model;

import java.util.ArrayList;
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
import pixeron.image.ColourImage;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.look.PixelSet;
import pixeron.project.Project;
import pixeron.project.ProjectWork;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.gray.GraySource;

/**
 * Everything that the bench shows of a project with one step selected. Made away from the window's thread, then shown
 * as a whole, so that no two places on the bench disagree.
 *
 * @param project what was calculated
 * @param position the selected step from 0, or −1 for the image itself
 * @param steps all steps with what came of them
 * @param before the selected step's input with its facts; the image itself when that is selected and was not made of a
 *     colour picture
 * @param after the selected step's result with its facts, or the gray that was made of a colour picture; empty when
 *     there is none
 * @param channels red, green, blue and perhaps alpha of the colour picture that After is made of; else empty
 * @param explained how After is worked out; empty when the step is off or failed, or the image was not made here
 * @param sheet the person's values for After
 * @param check the person's values against After
 * @param found what explains the values that differ, and those that nothing explains
 * @param lit the pixels that are lit on all sheets
 * @param finder looks for the slips of the step; empty when there is no step
 * @param following the differing cells that follow from the step before or from the person's own tables
 * @param start where the person's work on the whole chain first goes wrong; empty when nothing does
 * @param isByTable whether a slip without a working of its own shows in the levels table of the step
 */
public record Shown(Project project, int position, List<StepState> steps, Optional<Described> before,
        Optional<Described> after, List<Described> channels, Optional<? extends Explained> explained, HandSheet sheet,
                Check check,
        Findings found, Optional<Lit> lit, Optional<SlipFinder> finder, Following following,
        Optional<Start> start, boolean isByTable) {

    public Shown {
        steps = List.copyOf(steps);
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
     * @param pixels what was found; empty when the search failed
     * @param problem why it failed; empty when it did not
     */
    public record Lit(Search search, Optional<PixelSet> pixels, String problem) {
    }

    /**
     * Calculates all of it.
     *
     * @param position of a step of the project, or −1
     * @param known what was shown last, whose facts are taken over where the image is the same; may be null
     * @param search which pixels are to be lit
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    static Shown of(Project project, int position, Shown known, Optional<Search> search, Progress progress) {
        List<StepWork> works = ProjectWork.of(project, progress);
        List<StepState> steps = new ArrayList<>();
        for (Stage stage : project.chain().stages()) {
            steps.add(new StepState(stage.link(), stage.after(progress), works.stream().filter(work ->
                    work.position() == stage.position()).findFirst().map(StepWork::check).orElse(Check.EMPTY)));
        }
        Shown found = position < 0 ? ofSource(project, steps, known) : ofStep(project, position, steps, known, works,
                progress);
        return search.isEmpty() ? found : found.with(lit(found, search.get(), progress));
    }

    private static Shown ofSource(Project project, List<StepState> steps, Shown known) {
        Optional<Described> image = Optional.of(described(project.chain().source(), known));
        if (project.gray().isEmpty()) {
            return new Shown(project, -1, steps, image, Optional.empty(), List.of(), Optional.empty(),
                    HandSheet.EMPTY, Check.EMPTY, Findings.NONE, Optional.empty(), Optional.empty(), Following.NONE,
                    Optional.empty(), false);
        }
        HandSheet sheet = project.sheet(-1);
        ColourImage picture = project.gray().get().picture();
        List<Described> channels = Stream.concat(Stream.of(picture.red(), picture.green(), picture.blue()),
                picture.alpha().stream()).map(channel -> described(channel, known)).toList();
        return new Shown(project, -1, steps, Optional.empty(), image, channels, project.gray(), sheet,
                Check.of(sheet, project.gray().get()), Findings.NONE, Optional.empty(), Optional.empty(), Following.NONE,
                Optional.empty(), false);
    }

    private static Shown ofStep(Project project, int position, List<StepState> steps, Shown known, List<StepWork> works,
            Progress progress) {
        Stage stage = project.chain().stage(position);
        Optional<StepWork> work = works.stream().filter(found -> found.position() == position).findFirst();
        Optional<Operation> operation = work.map(StepWork::operation);
        Check check = steps.get(position).check();
        // While only values by hand change, what slips would give stays.
        Optional<SlipFinder> finder = operation.map(bound -> Optional.ofNullable(known).flatMap(Shown::finder)
                .filter(same -> same.isFor(stage.link().step(), bound.before()))
                .orElseGet(() -> new SlipFinder(stage.link().step(), bound.before())));
        Following following = work.map(StepWork::following).orElse(Following.NONE);
        Findings found = finder.map(slips -> slips.find(following.rest(check), progress)).orElse(Findings.NONE);
        // Only where it is asked for: the counts of a large image take their time.
        boolean isByTable = found.slips().stream().anyMatch(slip -> slip.done().isEmpty()) && operation.orElseThrow().tables()
                .stream().anyMatch(table -> table.name().equals("levels"));
        return new Shown(project, position, steps, described(stage.before(progress), known),
                described(stage.after(progress), known), List.of(), operation, project.sheet(position), check,
                found, Optional.empty(), finder, following, Start.of(works), isByTable);
    }

    private Shown with(Optional<Lit> changed) {
        return new Shown(project, position, steps, before, after, channels, explained, sheet, check, found, changed, finder, following,
                start, isByTable);
    }

    private static Optional<Lit> lit(Shown found, Search search, Progress progress) {
        Optional<Described> searched = search.isAfter() ? found.after : found.before;
        try {
            return searched.map(described -> new Lit(search, Optional.of(search.in(described, progress)), ""));
        } catch (PixeronException withoutValue) {
            return Optional.of(new Lit(search, Optional.empty(), withoutValue.getMessage()));
        }
    }

    private static Optional<Described> described(Outcome outcome, Shown known) {
        return outcome instanceof Outcome.Done done ? Optional.of(described(done.image(), known)) : Optional.empty();
    }

    private static Described described(Image image, Shown known) {
        if (known != null) {
            List<Described> all = new ArrayList<>(known.channels);
            known.before.ifPresent(all::add);
            known.after.ifPresent(all::add);
            for (Described old : all) {
                if (old.image() == image) {
                    return old;
                }
            }
        }
        return Described.of(image);
    }

    /** @return the colour picture that After is made of, when that is what is shown */
    public Optional<GraySource> colour() {
        return position < 0 ? project.gray() : Optional.empty();
    }

    /** @return the pixels that are lit */
    public Optional<PixelSet> litPixels() {
        return lit.flatMap(Lit::pixels);
    }

    /** @return what explains the values that differ, best first */
    public List<Explanation> slips() {
        return found.slips();
    }

    /** @return the image that has the size of everything on the sheets */
    public Image grid() {
        return project.chain().source();
    }

    /** @return how many values by hand there can be */
    public int answers() {
        return after.map(described -> described.image().count()).orElse(0);
    }

    /** @return why the selected step has no result, if it has none */
    public Optional<Outcome.Failed> failure() {
        return position >= 0 && steps.get(position).after() instanceof Outcome.Failed failed
                ? Optional.of(failed) : Optional.empty();
    }
}
