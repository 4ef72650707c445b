package pixeron.cli;

import java.util.ArrayList;
import java.util.List;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.Stage;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

/** The steps of a command, applied in the order in which they are given. */
final class StepLines {

    private final Argument<List<String>> lines;
    private final OtherImages others;

    StepLines(Syntax syntax) {
        lines = syntax.repeated("--step", "LINE", "A step, such as \"add amount=30\"; repeat for several.");
        others = new OtherImages(syntax);
    }

    /**
     * @param start the image, and perhaps a step in front
     * @param input how other images are read
     */
    Chain chain(Chain start, ImageInput input) {
        Chain chain = start.withImages(others.named(input::result));
        for (String line : lines.value()) {
            try {
                Step step = StepLine.parse(line);
                chain = chain.withImages(OtherImages.withPaths(chain.images(), step, input::result)).withStep(chain.size(), step);
            } catch (PixeronException problem) {
                throw PixeronException.because(problem, "Step %d, \"%s\": %s", chain.size() + 1, line,
                        problem.getMessage());
            }
        }
        return chain;
    }

    /** @return the stage of the last step, with its result made */
    Stage last(OneImage image) {
        Chain chain = chain(image.chain(), image.input());
        if (chain.size() == 0) {
            throw PixeronException.of("No step is given; add --step LINE, such as --step \"add amount=30\".");
        }
        chain.last(Progress.NONE).required();
        return chain.stage(chain.size() - 1);
    }
}
