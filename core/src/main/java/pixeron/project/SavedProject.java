package pixeron.project;

/**
 * What a project file holds.
 *
 * @param project the work
 * @param view where the person was
 */
public record SavedProject(Project project, View view) {
}
