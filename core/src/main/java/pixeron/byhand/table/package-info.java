/** A person's values in the tables by which a step is worked out, and how they compare with ours. */
package pixeron.byhand.table;
