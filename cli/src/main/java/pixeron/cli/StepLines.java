package pixeron.cli;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.Stage;
import pixeron.recipe.Recipe;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;

/** The steps of a command, applied in the order in which they are given. */
final class StepLines {

    private final Argument<List<String>> lines;
    private final Argument<Path> project;
    private final Argument<String> branch;
    private final OtherImages others;
    private Recipe recipe;

    StepLines(Syntax syntax) {
        lines = syntax.repeated("--step", "LINE", "Step line, such as \"add amount=30\"; repeat for several steps.");
        project = syntax.option("--steps", "PROJECT", Path.class, "Take the steps and other images from a project (.pixeron.json) instead of --step.");
        branch = syntax.option("--branch", "NAME", String.class, "Branch of that project; default: the first.");
        others = new OtherImages(syntax);
    }

    /**
     * @param start the image, and perhaps a step in front
     * @param input how other images are read
     */
    Chain chain(Chain start, ImageInput input) {
        Chain chain = start.withImages(others.named(input::result));
        if (project.isGiven() && !lines.value().isEmpty()) {
            throw PixeronException.of("--steps and --step cannot be combined. Use one of them.");
        } else if (branch.isGiven() && !project.isGiven()) {
            throw PixeronException.of("--branch needs --steps PROJECT.");
        } else if (project.isGiven()) {
            return recipe().on(chain);
        }
        for (String line : lines.value()) {
            try {
                Step step = StepLine.parse(line);
                chain = OtherImages.withPaths(chain, step, input::result).withStep(chain.size(), step);
            } catch (PixeronException problem) {
                throw PixeronException.because(problem, "Step %d, \"%s\": %s", chain.size() + 1, line,
                        problem.getMessage());
            }
        }
        return chain;
    }

    boolean areGiven() {
        return project.isGiven() || !lines.value().isEmpty();
    }

    /** @throws PixeronException if the steps cannot be read, whatever they are used on */
    void requireReadable() {
        if (project.isGiven()) {
            recipe();
        }
        lines.value().forEach(StepLine::parse);
    }

    /** Read once, however many images it is used on. */
    private Recipe recipe() {
        if (recipe == null) {
            recipe = Recipe.read(project.value(), branch.isGiven() ? Optional.of(branch.value()) : Optional.empty());
        }
        return recipe;
    }

    /** Returns the stage of the last step, with its result made. */
    Stage last(OneImage image) {
        Chain chain = chain(image.chain(), image.input());
        if (chain.size() == 0) {
            throw PixeronException.of("No step given. Add --step LINE, such as --step \"add amount=30\".");
        }
        chain.last(Progress.NONE).required();
        return chain.stage(chain.size() - 1);
    }
}
