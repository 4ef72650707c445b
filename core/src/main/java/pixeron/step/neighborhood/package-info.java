/**
 * Steps whose result at a pixel depends on a window of pixels around it, and what is outside the image.
 *
 * <p>{@link pixeron.step.neighborhood.Border} says where a place outside comes from, a
 * {@link pixeron.step.neighborhood.Window} gives the cells around a pixel; a step is a
 * {@link pixeron.step.neighborhood.WindowRule}: numbers out of the cells, then a formula of those.
 */
package pixeron.step.neighborhood;
