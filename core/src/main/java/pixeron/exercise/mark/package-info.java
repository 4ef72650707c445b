/** Marking: the findings about each answer, and of all of a class together. */
package pixeron.exercise.mark;
