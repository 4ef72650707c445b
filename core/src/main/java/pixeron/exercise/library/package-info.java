/** Exercises of our own, from the print workshop, each in three sizes; they are also what is practised. */
package pixeron.exercise.library;
