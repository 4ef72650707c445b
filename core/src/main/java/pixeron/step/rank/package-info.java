/** Places in the sorted window, and morphology: the least and the largest value under a shape. */
package pixeron.step.rank;
