/** Exercises in the window: practicing alone, setting one, and marking a class. They stand in the place of the bench. */
package pixeron.app.exercise;
