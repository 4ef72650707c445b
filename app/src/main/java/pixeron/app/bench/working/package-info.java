/** The working of the picked pixel, its numbers by hand, and the findings about slips. */
package pixeron.app.bench.working;
