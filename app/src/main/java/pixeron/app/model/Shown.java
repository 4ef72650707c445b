package pixeron.app.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.byhand.Check;
import pixeron.byhand.HandSheet;
import pixeron.byhand.slip.Explanation;
import pixeron.byhand.slip.SlipFinder;
import pixeron.chain.Outcome;
import pixeron.chain.Stage;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.project.Project;
import pixeron.step.Operation;
import pixeron.step.Progress;

/**
 * Everything that the bench shows of a project with one step selected. Made away from the window's thread, then shown
 * as a whole, so that no two places on the bench disagree.
 *
 * @param project what was calculated
 * @param position the selected step from 0, or −1 for the image itself
 * @param steps all steps with what came of them
 * @param before the selected step's input with its facts; the image itself when that is selected
 * @param after the selected step's result with its facts; empty when there is none
 * @param operation the selected step bound to its input; empty when it is off, failed, or the image is selected
 * @param sheet the person's values for the selected step
 * @param slips what explains the values that differ
 */
public record Shown(Project project, int position, List<StepState> steps, Optional<Described> before,
        Optional<Described> after, Optional<Operation> operation, HandSheet sheet, List<Explanation> slips) {

    public Shown {
        steps = List.copyOf(steps);
    }

    /**
     * An image with what is said about it.
     *
     * @param image the samples
     * @param facts smallest, largest, mean
     * @param histogram counts of levels; empty for an open image
     */
    public record Described(Image image, ImageFacts facts, Optional<Histogram> histogram) {

        static Described of(Image image) {
            return new Described(image, ImageFacts.of(image),
                    image.isLevelImage() ? Optional.of(Histogram.of(image)) : Optional.empty());
        }
    }

    /**
     * Calculates all of it.
     *
     * @param position of a step of the project, or −1
     * @param known what was shown last, whose facts are taken over where the image is the same; may be null
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    static Shown of(Project project, int position, Shown known, Progress progress) {
        List<StepState> steps = new ArrayList<>();
        for (Stage stage : project.chain().stages()) {
            // Between two steps is a good moment to notice that something newer is wanted.
            progress.report((double) stage.position() / project.chain().size());
            steps.add(state(project, stage, progress));
        }
        if (position < 0) {
            return new Shown(project, -1, steps, Optional.of(described(project.chain().source(), known)),
                    Optional.empty(), Optional.empty(), HandSheet.EMPTY, List.of());
        }
        Stage stage = project.chain().stage(position);
        Optional<Operation> operation = stage.operation(progress);
        return new Shown(project, position, steps, described(stage.before(progress), known),
                described(stage.after(progress), known), operation, project.sheet(position),
                operation.map(bound -> SlipFinder.find(steps.get(position).check(), stage.link().step(),
                        bound.before()))
                        .orElse(List.of()));
    }

    private static StepState state(Project project, Stage stage, Progress progress) {
        HandSheet sheet = project.sheet(stage.position());
        Outcome after = stage.after(progress);
        Check check = sheet.isEmpty() ? Check.EMPTY
                : stage.operation(progress).map(operation -> Check.of(sheet, operation)).orElse(Check.EMPTY);
        return new StepState(stage.link(), after, check);
    }

    private static Optional<Described> described(Outcome outcome, Shown known) {
        return outcome instanceof Outcome.Done done ? Optional.of(described(done.image(), known)) : Optional.empty();
    }

    private static Described described(Image image, Shown known) {
        if (known != null) {
            for (Optional<Described> old : List.of(known.before, known.after)) {
                if (old.isPresent() && old.get().image() == image) {
                    return old.get();
                }
            }
        }
        return Described.of(image);
    }

    /** @return the check of the selected step */
    public Check check() {
        return position < 0 ? Check.EMPTY : steps.get(position).check();
    }

    /** @return why the selected step has no result, if it has none */
    public Optional<Outcome.Failed> failure() {
        return position >= 0 && steps.get(position).after() instanceof Outcome.Failed failed
                ? Optional.of(failed) : Optional.empty();
    }
}
