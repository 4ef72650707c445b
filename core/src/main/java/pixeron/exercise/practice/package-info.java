/** Practicing alone: which exercise comes next, and what is remembered of those that were done. */
package pixeron.exercise.practice;
