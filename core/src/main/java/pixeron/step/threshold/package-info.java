/** Thresholds: steps that part the levels in two. */
package pixeron.step.threshold;
