/**
 * Steps that disturb a random image or by a wave. The number drawn for a pixel is a function of the seed and its offset
 * ({@link pixeron.number.Draws}), so it is the same on every machine and can be calculated for one pixel alone.
 */
package pixeron.step.noise;

