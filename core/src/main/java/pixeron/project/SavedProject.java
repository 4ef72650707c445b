package pixeron.project;

/**
 * What a project file holds.
 *
 * @param project the work
 * @param view where the user was
 */
public record SavedProject(Project project, View view) {
}
