/** Exercises for quiz systems, as a package of QTI 3.0, an open standard. */
package pixeron.exercise.quiz;
