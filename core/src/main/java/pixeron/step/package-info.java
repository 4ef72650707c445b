/**
 * A step: one operation with its parameters, its line of text, and the catalog of all of them.
 *
 * <p>To add a step: write one class beside its relatives in {@code step.point}, {@code step.threshold}, …, and one line
 * in {@link pixeron.step.catalog.Catalog}. The command line, the project file, the parameter fields, the search field
 * and
 * the list of steps are made from what the class says about itself.
 *
 * <p>A {@link pixeron.step.StepType} is the kind, a {@link pixeron.step.Step} a kind with values for its keys, an
 * {@link pixeron.step.Operation} a step bound to the image before it, which gives the result and explains it.
 */
package pixeron.step;
