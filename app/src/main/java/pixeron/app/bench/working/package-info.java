/** The working of the picked pixel, its numbers by hand, and what is said of slips. */
package pixeron.app.bench.working;
