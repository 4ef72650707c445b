package pixeron.recipe;

import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import pixeron.PixeronException;
import pixeron.chain.Chain;
import pixeron.chain.Link;
import pixeron.number.Decimals;
import pixeron.project.Project;
import pixeron.project.ProjectFile;

/**
 * The chain of a project, to be used on other images. The project's own image and values by hand play no part; its other images do.
 *
 * @param chain the steps, on the project's own image
 */
public record Recipe(Chain chain) {

    /**
     * Returns the recipe of a project.
     *
     * @param opened the project; which of its images is open plays no part
     * @param branch which of its branches; empty: the first
     * @throws PixeronException if there is no such branch; names those that there are
     */
    public static Recipe of(Project opened, Optional<String> branch) {
        Project project = opened.atMain();
        String wanted = branch.orElse(project.branches().get(0));
        if (!project.branches().contains(wanted)) {
            throw PixeronException.of("The project has no branch “%s”; it has %s.", Decimals.shortened(wanted), String.join(", ", project.branches()));
        }
        return new Recipe(project.onBranch(wanted).chain());
    }

    /**
     * Reads the recipe of a project file.
     *
     * @throws PixeronException if it is not a project that can be read, or has no such branch
     */
    public static Recipe read(Path project, Optional<String> branch) {
        return of(ProjectFile.read(project).project(), branch);
    }

    /**
     * Returns the steps on another image.
     *
     * @param start the image, perhaps with steps in front, with other images that go before those of the project
     */
    public Chain on(Chain start) {
        Map<String, Chain> images = new LinkedHashMap<>(chain.others());
        images.putAll(start.others());
        Chain made = chain.onSource(start.input()).withOthers(images).withMostPixels(start.mostPixels());
        int at = 0;
        for (Link link : start.links()) {
            made = made.withStep(at++, link.step());
        }
        return made;
    }
}
