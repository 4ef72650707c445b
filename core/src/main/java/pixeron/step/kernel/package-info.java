/**
 * Kernels: weighted sums of a window, and what is made of one or two of them.
 *
 * <p>A sum is whole weights over a common denominator; {@link pixeron.step.kernel.Summation} adds it up for all pixels in
 * whole numbers, each kernel the fastest way that its weights allow, and the working lists the same terms for one pixel.
 */
package pixeron.step.kernel;
