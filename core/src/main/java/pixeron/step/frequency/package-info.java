/** Images as sums of waves, and what becomes of them when some waves are removed. */
package pixeron.step.frequency;
