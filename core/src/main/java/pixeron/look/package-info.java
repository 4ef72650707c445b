/**
 * Looking at an image without changing it: statistics of a rectangle, a line, pixels that meet a condition, numbers in
 * other bases.
 */
package pixeron.look;
