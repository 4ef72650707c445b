/** Walking over a result pixel by pixel: its controls, its loops in plain words, and what it covers on the sheets. */
package pixeron.app.bench.walk;
