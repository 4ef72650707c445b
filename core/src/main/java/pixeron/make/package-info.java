/**
 * New images made by a line of text: filled, by a formula of row and column, gradient, checker, stripes, disc, sine
 * wave, seeded noise.
 *
 * <p>A {@link pixeron.make.Maker} describes itself with the same keys as a step. To add one: one entry in
 * {@link pixeron.make.Makers}.
 */
package pixeron.make;
