/** Exercises on paper: a page for each variant with room to write in, and the key. */
package pixeron.exercise.print;
