/** A user's values in the tables by which a step is calculated, and how they compare with ours. */
package pixeron.byhand.table;
