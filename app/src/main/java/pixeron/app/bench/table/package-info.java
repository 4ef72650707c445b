/** The tables by which a step is calculated, with the user's values beside ours. */
package pixeron.app.bench.table;
