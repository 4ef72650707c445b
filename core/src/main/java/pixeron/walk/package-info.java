/** Visits pixels one at a time in a given order, forward and back. */
package pixeron.walk;
