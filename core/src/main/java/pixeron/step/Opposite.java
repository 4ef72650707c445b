package pixeron.step;

/**
 * What is done where a user takes one operation for its opposite.
 *
 * @param words such as "the number is subtracted instead of added"
 * @param step the opposite step, with the same numbers
 */
public record Opposite(String words, Step step) {
}
