/** Places in the sorted window, and morphology: the smallest and the largest value under a shape. */
package pixeron.step.rank;
