/**
 * What the window shows and what a user can change about it, without a control in sight: the project with its undo
 * history, what is selected, what came of it, autosave, recent files.
 *
 * <p>{@link pixeron.app.model.Bench} holds the one state; every view listens to it and renders it.
 */
package pixeron.app.model;
