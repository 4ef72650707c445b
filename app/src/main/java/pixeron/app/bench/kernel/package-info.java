/** Weights in a grid: typed cell by cell, turned, filled with ready kernels and kept under a name. */
package pixeron.app.bench.kernel;
