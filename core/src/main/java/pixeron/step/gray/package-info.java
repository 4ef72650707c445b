/** How a color picture becomes gray: named rules, exact, each with its working. */
package pixeron.step.gray;
