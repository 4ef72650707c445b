/** Marking: what is said of each answer, and of all of a class together. */
package pixeron.exercise.mark;
