package pixeron.step.pointwise;

/**
 * A number on the way to a value that people round too early.
 *
 * @param words what it is called: {@code the slope}
 * @param formula the step's formula, written so that the number is in it
 * @param part the number as it is in the formula
 */
public record EarlyPart(String words, String formula, String part) {
}
