/** Weights in a grid: typed cell by cell, rotated, filled with ready kernels and kept under a name. */
package pixeron.app.bench.kernel;
