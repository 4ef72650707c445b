/**
 * Slips: named mistakes, or different conventions, that explain values by hand which differ.
 *
 * <p>A {@link pixeron.byhand.slip.Slip} is another way to reach a value. To add one: write its class and one line in
 * {@link pixeron.byhand.slip.search.KnownSlips}.
 */
package pixeron.byhand.slip;
