/**
 * The user's values and how they compare with ours.
 *
 * <p>A {@link pixeron.byhand.HandSheet} holds what was written, a {@link pixeron.byhand.Check} says of every cell
 * whether it agrees, and {@code pixeron.byhand.slip} says which slip explains those that differ.
 */
package pixeron.byhand;
