/**
 * Steps that take another image beside the one before them: combined level by level, laid over it, or set beside it.
 *
 * <p>The other image is named by {@link pixeron.step.Reference#WITH}; its samples are taken as they are.
 */
package pixeron.step.pair;

