/** Exercises as files, {@code *.pixeron-exercise.json}; docs/exercise-schema.json describes them. */
package pixeron.exercise.file;
