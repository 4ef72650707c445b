package pixeron.app.model;

import java.util.Optional;
import pixeron.chain.Stage;
import pixeron.project.Project;

/**
 * The step that an edit was begun in; it stays the same one when steps are moved or another is selected.
 *
 * @param id of the step's link; 0 for the image itself
 */
public record Target(int id) {

    /** The image in front of the first step. */
    public static final Target IMAGE = new Target(0);

    /** @return where the step is now, −1 for the image; empty when it is gone */
    public Optional<Integer> position(Project project) {
        return equals(IMAGE) ? Optional.of(-1) : project.chain().stages().stream().filter(stage -> stage.link().id() == id)
                .map(Stage::position).findFirst();
    }
}
