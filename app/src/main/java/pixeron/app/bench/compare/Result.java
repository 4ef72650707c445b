package pixeron.app.bench.compare;

import pixeron.chain.Chain;
import pixeron.chain.Outcome;
import pixeron.image.Image;
import pixeron.project.Project;
import pixeron.step.Progress;
import pixeron.step.Step;

/** What can stand in a place of the comparison. */
sealed interface Result {

    /**
     * @param project the work
     * @return the image
     * @throws pixeron.PixeronException if there is none
     */
    Image image(Project project, Progress progress);

    /** @return its name in the list of what can be chosen */
    String title(Project project);

    /**
     * The result of a step.
     *
     * @param branch the branch
     * @param position of the step, −1 for the image itself
     */
    record OfStep(String branch, int position) implements Result {

        @Override
        public Image image(Project project, Progress progress) {
            Chain chain = project.chain(branch);
            if (position < 0) {
                return chain.source();
            }
            Outcome outcome = chain.stage(position).after(progress);
            if (outcome instanceof Outcome.Failed failed) {
                throw pixeron.PixeronException.of("%s", failed.message());
            }
            return outcome.image();
        }

        @Override
        public String title(Project project) {
            return position < 0 ? "Image" : (project.others().isEmpty() ? "" : branch + " · ") + (position + 1) + " "
                    + project.chain(branch).stage(position).link().step().type().title();
        }
    }

    /**
     * A step applied to what comes into the selected one, without being part of the work.
     *
     * @param step the step
     * @param title its name
     * @param before the selected step's input: its branch and the position before it
     */
    record Tried(Step step, String title, OfStep before) implements Result {

        @Override
        public Image image(Project project, Progress progress) {
            return step.bind(before.image(project, progress)).result(progress);
        }

        @Override
        public String title(Project project) {
            return title;
        }
    }

    /**
     * An answer from outside, such as what a person's own program gave.
     *
     * @param name its file
     * @param answer what it holds
     */
    record Outside(String name, Image answer) implements Result {

        @Override
        public Image image(Project project, Progress progress) {
            return answer;
        }

        @Override
        public String title(Project project) {
            return name;
        }
    }
}
