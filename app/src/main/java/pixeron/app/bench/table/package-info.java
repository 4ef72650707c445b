/** The tables by which a step is worked out, with the person's values beside ours. */
package pixeron.app.bench.table;
