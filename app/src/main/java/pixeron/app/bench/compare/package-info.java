/** Two to four results side by side, with what differs. */
package pixeron.app.bench.compare;
