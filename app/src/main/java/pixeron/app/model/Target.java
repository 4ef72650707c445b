package pixeron.app.model;

import java.util.Optional;
import pixeron.byhand.color.ColorCells;
import pixeron.chain.Stage;
import pixeron.project.Project;

/**
 * The step that an edit was begun in, and the face of its result; it stays the same one when steps are moved, another step is
 * selected or another channel is looked at.
 *
 * @param id of the step's link; 0 for the image itself
 * @param face the name of the face
 * @param whole how all channels of a pixel are written at once; empty where only the face is written
 */
public record Target(int id, String face, Optional<ColorCells> whole) {

    /** Returns where the step is now, −1 for the image; empty when it is gone. */
    public Optional<Integer> position(Project project) {
        return id == 0 ? Optional.of(-1) : project.chain().stages().stream().filter(stage -> stage.link().id() == id)
                .map(Stage::position).findFirst();
    }
}
