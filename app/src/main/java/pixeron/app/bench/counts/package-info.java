/** Counts of levels: histogram, tally marks, facts. */
package pixeron.app.bench.counts;
