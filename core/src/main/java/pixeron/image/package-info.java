/**
 * The image and the findings about places in it: pixel, area, histogram, facts, measures between two images.
 *
 * <p>An {@link pixeron.image.Image} never changes. A level image keeps bytes or 16-bit words, so that a point step is
 * a table lookup ({@link pixeron.image.LevelTable}); a real-valued image keeps exact fractions or doubles
 * ({@link pixeron.image.OpenSamples}).
 */
package pixeron.image;
