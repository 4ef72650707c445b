/** Exercises in the window: practicing alone, setting one, and marking a class. They are in the place of the bench. */
package pixeron.app.exercise;
