/**
 * The bench: steps at the left, three sheets side by side, the working below, the status line. Every class here renders
 * the state of {@link pixeron.app.model.Bench} and hands what the user does back to it.
 */
package pixeron.app.bench;
