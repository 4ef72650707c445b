/**
 * All steps by name, and the step line. It is above the families, so that {@code pixeron.step} below them does not
 * know which steps there are.
 */
package pixeron.step.catalog;
