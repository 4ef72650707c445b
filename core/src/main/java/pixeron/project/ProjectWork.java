package pixeron.project;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.byhand.work.StepWork;
import pixeron.byhand.work.StepWork.Written;
import pixeron.chain.Stage;
import pixeron.step.Progress;

/** What is said of everything that a person wrote by hand for the steps of a project. */
public final class ProjectWork {

    private ProjectWork() {
    }

    /**
     * @param project the work
     * @param progress told how far it is
     * @return what is said of each step that has a result, in their order
     * @throws java.util.concurrent.CancellationException when progress says it is no longer wanted
     */
    public static List<StepWork> of(Project project, Progress progress) {
        return of(project, List.of(), progress);
    }

    /**
     * @param known what was said last; what is written for the same step in the same way need not be checked again
     */
    public static List<StepWork> of(Project project, List<StepWork> known, Progress progress) {
        List<StepWork> works = new ArrayList<>();
        Optional<Written> earlier = Optional.empty();
        for (Stage stage : project.chain().stages()) {
            // Between two steps is a good moment to notice that something newer is wanted.
            progress.report((double) stage.position() / project.chain().size());
            Optional<Written> before = earlier;
            Optional<Written> written = stage.operation(progress).map(operation -> new Written(stage.position(), operation,
                    project.sheet(stage.position()), project.tables(stage.position())));
            written.ifPresent(found -> works.add(known.stream().filter(work -> work.isOf(found, before)).findFirst()
                    .orElseGet(() -> StepWork.of(found, before))));
            earlier = written;
        }
        return works;
    }
}
