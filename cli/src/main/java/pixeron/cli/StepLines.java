package pixeron.cli;

import java.util.ArrayList;
import java.util.List;
import picocli.CommandLine.Option;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.Stage;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** The steps of a command, applied in the order in which they are given. */
final class StepLines {

    @Option(names = "--step", paramLabel = "LINE",
            description = "A step, such as \"add amount=30\"; repeat for several.")
    private List<String> lines = new ArrayList<>();

    /** @param start the image, and perhaps a step in front */
    Chain chain(Chain start) {
        Chain chain = start;
        for (String line : lines) {
            try {
                chain = chain.withStep(chain.size(), StepLine.parse(line));
            } catch (PixeronException problem) {
                throw PixeronException.because(problem, "Step %d, \"%s\": %s", chain.size() + 1, line,
                        problem.getMessage());
            }
        }
        return chain;
    }

    /** @return the stage of the last step, with its result made */
    Stage last(Chain start) {
        Chain chain = chain(start);
        if (chain.size() == 0) {
            throw PixeronException.of("No step is given; add --step LINE, such as --step \"add amount=30\".");
        }
        chain.last(Progress.NONE).required();
        return chain.stage(chain.size() - 1);
    }
}
