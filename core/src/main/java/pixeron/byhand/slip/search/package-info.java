/**
 * The search for slips in a sheet of values by hand.
 *
 * <p>{@link pixeron.byhand.slip.search.KnownSlips} lists the slips, {@link pixeron.byhand.slip.search.SlipFinder} prepares
 * what each of them would give for one step, {@link pixeron.byhand.slip.search.Search} judges them on one sheet: single
 * slips first, then two at once, then the cells left over once more.
 */
package pixeron.byhand.slip.search;
