/** Exercises of our own, from the print workshop, each in three sizes; they are also what is practiced. */
package pixeron.exercise.library;
