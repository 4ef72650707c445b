/** Exercises for quiz systems: QTI, an open standard, in two versions, and the XML that Moodle imports. */
package pixeron.exercise.quiz;
