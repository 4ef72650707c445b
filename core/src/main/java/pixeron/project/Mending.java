package pixeron.project;

import java.util.List;
import pixeron.image.Result;
import pixeron.step.Inputs;
import pixeron.step.Mend;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;
import pixeron.step.color.Binding;

/** Brings the two images of a step to a common size. */
public final class Mending {

    private Mending() {
    }

    /**
     * Returns the project in which a step is before it that changes the image; or in which the step takes a changed copy of the
     * other image, which is then one of the project's images.
     *
     * @param position of the step
     * @param reference how the step names the other image
     * @param inputs what the step is applied to
     * @throws pixeron.PixeronException if the mend cannot be applied
     */
    public static Project mended(Project project, int position, String reference, Inputs inputs, Mend mend, Progress progress) {
        Step changing = StepLine.parse(mend.line());
        if (!mend.isOfOther()) {
            return project.withChain(chain -> chain.withStep(position, changing));
        }
        Result changed = Binding.of(changing, inputs.others().apply(reference)).result(progress);
        Project with = project.withImage(reference.replace(':', '-') + "-" + changing.type().name(), new Origin(reference + ", " + mend.line(), "kept",
                changed.faces().size(), List.of()), changed);
        String name = with.images().get(with.images().size() - 1).name();
        Step step = project.chain().stage(position).link().step().referring(old -> old.equals(reference) ? name : old);
        return with.withChain(chain -> chain.replaced(position, step));
    }
}
