/** Visiting pixels one at a time, in a said order, forwards and back. */
package pixeron.walk;
