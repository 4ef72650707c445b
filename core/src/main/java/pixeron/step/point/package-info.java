/** Point transforms: one class for each, with its formula over the level r. */
package pixeron.step.point;
