package pixeron.project;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import pixeron.byhand.color.Abreast;
import pixeron.byhand.work.ColorWork;
import pixeron.byhand.work.StepWork;
import pixeron.byhand.work.StepWork.Written;
import pixeron.chain.Outcome;
import pixeron.chain.Stage;
import pixeron.image.Components;
import pixeron.image.Image;
import pixeron.step.Bound;
import pixeron.step.Progress;
import pixeron.step.WholeType;

/** The findings about everything that a user wrote by hand for the steps of a project. */
public final class ProjectWork {

    private ProjectWork() {
    }

    /**
     * Returns the findings about each face of each step that has a result, in their order.
     *
     * @param project the work
     * @param progress receives the progress
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    public static List<StepWork> of(Project project, Progress progress) {
        return of(project, List.of(), progress);
    }

    /**
     * Evaluates the work of a project.
     *
     * @param known the findings of the last time; what is written for the same step in the same way need not be checked again
     */
    public static List<StepWork> of(Project project, List<StepWork> known, Progress progress) {
        List<StepWork> works = new ArrayList<>();
        Map<String, Written> earlier = Map.of();
        for (Stage stage : project.chain().stages()) {
            // Between two steps is a good moment to notice that something newer is wanted.
            progress.report((double) stage.position() / project.chain().size());
            Optional<Bound> bound = stage.bound(progress);
            Optional<Image> image = bound.map(found -> stage.before(progress).required()).filter(Image.class::isInstance).map(Image.class::cast);
            Map<String, Written> written = new LinkedHashMap<>();
            for (String face : bound.map(Bound::faces).orElse(List.of())) {
                Written found = new Written(stage.position(), face, bound.get().face(face).orElseThrow(), project.byHand(stage.position(), face));
                // A step that takes a result of several faces whole reads more than one, so there is no finding about one face alone.
                boolean isOfImage = image.filter(one -> found.operation().before() == one).isPresent();
                Optional<Written> before = Optional.ofNullable(earlier.get(isOfImage ? Image.VALUE : face))
                        .filter(one -> isOfImage || !(stage.link().step().type() instanceof WholeType));
                works.add(known.stream().filter(work -> work.isOf(found, before)).findFirst().orElseGet(() -> StepWork.of(found, before)));
                written.put(face, found);
            }
            earlier = written;
        }
        return works;
    }

    /**
     * Returns the findings about all faces together; empty where the result has no color.
     *
     * @param position of a step of the project
     * @param works the findings about its faces, with those of other steps
     */
    public static Optional<ColorWork> color(Project project, int position, List<StepWork> works, Progress progress) {
        Stage stage = project.chain().stage(position);
        return stage.bound(progress).filter(bound -> stage.after(progress) instanceof Outcome.Done done && done.result() instanceof Components)
                .map(bound -> ColorWork.of(new Abreast(bound, stage.before(progress).required(), (Components) stage.after(progress).required()),
                        works.stream().filter(work -> work.position() == position).toList()));
    }
}
