/** The curve of a point step: input level across, result up, with keys that can be dragged. */
package pixeron.app.bench.curve;
