/** A user's whole work on a chain: the findings about every step, its tables and its sheet, and where it first goes wrong. */
package pixeron.byhand.work;
