package pixeron.working;

/** What a piece of a working stands for. The window gives each role the colour that it has everywhere. */
public enum Role {
    /** Signs, parameters and intermediate values. */
    PLAIN,
    /** A sample of the step's input. */
    BEFORE,
    /** The value that the step writes. */
    AFTER,
    /** Words beside the arithmetic. */
    NOTE
}
