package pixeron.project.demo;

import java.util.function.Supplier;
import pixeron.image.Result;
import pixeron.project.SavedProject;

/**
 * A case to begin with.
 *
 * @param id for file names: lower case, hyphens
 * @param title its name
 * @param sentence what is to be seen in it
 * @param image its image, of any kind
 * @param work calculates the project, and where to look first
 */
public record DemoCase(String id, String title, String sentence, Result image, Supplier<SavedProject> work) {

    /** @return the project, and where to look first; calculated at each call */
    public SavedProject saved() {
        return work.get();
    }
}
