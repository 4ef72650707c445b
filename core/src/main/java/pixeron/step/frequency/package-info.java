/** Images as sums of waves, and what becomes of them when some waves are taken away. */
package pixeron.step.frequency;
