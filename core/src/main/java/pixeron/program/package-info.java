/** A user's own program in place of values by hand: it is run on images, and what it writes is checked like numbers on paper. */
package pixeron.program;
