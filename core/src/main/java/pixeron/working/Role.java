package pixeron.working;

/** What a piece of a working represents. The window gives each role the color that it has everywhere. */
public enum Role {
    /** Signs, parameters and intermediate values. */
    PLAIN,
    /** A sample of the step's input. */
    BEFORE,
    /** A cell that is outside the image, where the border puts a value or nothing. */
    OUTSIDE,
    /** The value that the step writes. */
    AFTER,
    /** Words beside the arithmetic. */
    NOTE
}
