package pixeron.app.bench.compare;

import java.util.Optional;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.Outcome;
import pixeron.image.Result;
import pixeron.project.Project;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.color.Binding;

/** What can be in a place of the comparison. */
sealed interface Choice {

    /**
     * Returns the result, an image or one with color.
     *
     * @param project the work
     * @throws pixeron.PixeronException if there is none
     */
    Result result(Project project, Progress progress);

    /** Returns its name in the list of what can be chosen. */
    String title(Project project);

    /**
     * The result of a step.
     *
     * @param image the name of the other image whose step it is; empty for the project's own image
     * @param branch the branch
     * @param position of the step, −1 for the image itself
     */
    record OfStep(Optional<String> image, String branch, int position) implements Choice {

        private Project at(Project project) {
            return image.map(project::opened).orElseGet(project::atMain);
        }

        @Override
        public Result result(Project project, Progress progress) {
            Chain chain = at(project).chain(branch);
            if (position < 0) {
                return chain.input();
            }
            Outcome outcome = chain.stage(position).after(progress);
            if (outcome instanceof Outcome.Failed failed) {
                throw PixeronException.of("%s", failed.message());
            }
            return outcome.required();
        }

        @Override
        public String title(Project project) {
            Project of = at(project);
            if (position < 0) {
                return image.orElse("Image");
            }
            return image.map(name -> name + " · ").orElse("") + (of.others().isEmpty() ? "" : branch + " · ") + (position + 1) + " "
                    + of.chain(branch).stage(position).link().step().type().title();
        }
    }

    /**
     * A step applied to what comes into the selected one, without being part of the work.
     *
     * @param step the step
     * @param title its name
     * @param before the selected step's input: its branch and the position before it
     */
    record Tried(Step step, String title, OfStep before) implements Choice {

        @Override
        public Result result(Project project, Progress progress) {
            return Binding.of(step, before.result(project, progress)).result(progress);
        }

        @Override
        public String title(Project project) {
            return title;
        }
    }

    /**
     * An answer from outside, such as what a user's own program gave.
     *
     * @param name its file
     * @param answer what it holds
     */
    record Outside(String name, Result answer) implements Choice {

        @Override
        public Result result(Project project, Progress progress) {
            return answer;
        }

        @Override
        public String title(Project project) {
            return name;
        }
    }
}
