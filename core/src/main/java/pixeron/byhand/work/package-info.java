/** A person's whole work on a chain: what is said of every step, its tables and its sheet, and where it first goes wrong. */
package pixeron.byhand.work;
