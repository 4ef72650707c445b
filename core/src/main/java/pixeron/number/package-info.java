/**
 * Exact fractions and decimals, rounding and overflow.
 *
 * <p>A {@link pixeron.number.Value} is either a {@link pixeron.number.Rational}, which is exact, or an
 * {@link pixeron.number.Approximate}, a double that came out of a root, a logarithm or a sine. Everything that hand
 * calculation gets exactly stays rational from the file to the working.
 */
package pixeron.number;
