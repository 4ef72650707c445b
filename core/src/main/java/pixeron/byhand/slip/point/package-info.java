/** Slips in point steps, thresholds and equalization. */
package pixeron.byhand.slip.point;
