package pixeron.working;

/** What a piece of a working stands for. The window gives each role the color that it has everywhere. */
public enum Role {
    /** Signs, parameters and intermediate values. */
    PLAIN,
    /** A sample of the step's input. */
    BEFORE,
    /** A cell that stands outside the image, where the border puts a value or nothing. */
    OUTSIDE,
    /** The value that the step writes. */
    AFTER,
    /** Words beside the arithmetic. */
    NOTE
}
