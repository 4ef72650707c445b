/**
 * JMH measurements of the core. {@link pixeron.bench.Ratios} runs them and prints every figure as a ratio within one
 * run.
 */
package pixeron.bench;
