package pixeron.step;

/**
 * A step that would bring two images to a common size, so that another step can be applied to both.
 *
 * @param words what it does, for a button
 * @param isOfOther whether it is applied to the other image instead of the one before
 * @param line the step
 */
public record Mend(String words, boolean isOfOther, String line) {
}
