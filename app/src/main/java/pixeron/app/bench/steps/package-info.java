/** The list of steps, the search field for new ones, and the fields of the selected one. */
package pixeron.app.bench.steps;
