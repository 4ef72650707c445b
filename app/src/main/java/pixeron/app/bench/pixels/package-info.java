/** What is seen of pixels: one, its neighborhood, a rectangle, a line, those that meet a condition; and how values are shown. */
package pixeron.app.bench.pixels;
