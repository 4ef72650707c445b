/** Slips in writing values down: right numbers in wrong places, and a digit gone wrong. */
package pixeron.byhand.slip.sheet;
