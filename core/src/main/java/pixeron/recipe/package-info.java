/** A project's chain applied to other images, one or many. */
package pixeron.recipe;
