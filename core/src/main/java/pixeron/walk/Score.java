package pixeron.walk;

/**
 * How often a user who guessed first was right.
 *
 * @param right guesses that agreed
 * @param wrong guesses that did not
 */
public record Score(int right, int wrong) {

    /** Nothing was guessed yet. */
    public static final Score NONE = new Score(0, 0);

    /** Returns this with one guess more. */
    public Score with(boolean isRight) {
        return isRight ? new Score(right + 1, wrong) : new Score(right, wrong + 1);
    }

    public int guesses() {
        return right + wrong;
    }
}
