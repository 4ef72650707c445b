package pixeron.project;

import pixeron.byhand.HandSheet;
import pixeron.byhand.work.ByHand;
import pixeron.chain.Chain;
import pixeron.chain.Link;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.step.Step;
import pixeron.step.color.GrayStep;
import pixeron.step.gray.GrayRule;
import pixeron.step.gray.Transparency;

/**
 * Gray as the first version of the project's file has it: made of a color picture in front of all steps. It is read as a step.
 *
 * @param picture the color picture
 * @param step what makes gray of it
 * @param sheet the user's values for the gray image
 */
record EarlierGray(ColorImage picture, Step step, HandSheet sheet) {

    /**
     * @param image the gray image; its samples are what the step makes and need not be read
     * @param color the color picture and the rule
     */
    static EarlierGray read(Fields image, Fields color) {
        ColorImage picture = SampleText.readFaces(image, color);
        GrayRule rule = color.read("rule", GrayRule::parse);
        Transparency transparency = color.read("transparency", Transparency::of);
        return new EarlierGray(picture, GrayStep.of(rule.word(), transparency), color.find("byHand").map(byHand ->
                StepFields.sheet(byHand)).orElse(HandSheet.EMPTY));
    }

    /** Returns the work with the step in front of those of every branch. */
    Work inFrontOf(Work work) {
        return new Work(work.origin(), inFrontOf(work.present()), work.others().stream().map(this::inFrontOf).toList());
    }

    /** Returns the branch with the step in front of its own; its id is one that no other step has. */
    private Branch inFrontOf(Branch branch) {
        Chain chain = branch.chain();
        int id = 1 + chain.links().stream().mapToInt(Link::id).max().orElse(0);
        return branch.with(chain.withLink(0, new Link(id, step, true))).with(new Branch.Face(id, Image.VALUE),
                ByHand.NONE.withSheet(none -> sheet));
    }
}
