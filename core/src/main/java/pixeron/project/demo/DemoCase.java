package pixeron.project.demo;

import pixeron.project.SavedProject;

/**
 * A case to begin with.
 *
 * @param id for file names: lower case, hyphens
 * @param title its name
 * @param sentence what is to be seen in it
 * @param saved the project, and where to look first
 */
public record DemoCase(String id, String title, String sentence, SavedProject saved) {
}
