/**
 * What a step does for all pixels as a small program: one structured description, written down in Java and in Python.
 *
 * <p>{@link pixeron.loop.Code} is what is calculated, {@link pixeron.loop.Statement} what is done, {@link pixeron.loop.LoopProgram} the whole.
 */
package pixeron.loop;
