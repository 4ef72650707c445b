/** Steps that follow from how often levels occur. */
package pixeron.step.histogram;
