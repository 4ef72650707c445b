/**
 * Exercises: a task with choices, the variants that are drawn from it, and what is asked of whoever solves one.
 *
 * <p>{@link pixeron.exercise.Exercise} is what an instructor sets, {@link pixeron.exercise.Variant} one drawing of it. Files, printed sheets,
 * marking and practice are the rooms below.
 */
package pixeron.exercise;
