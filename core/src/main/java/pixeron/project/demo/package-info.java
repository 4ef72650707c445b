/**
 * The demo cases: images of a small letterpress print workshop, made by code with fixed seeds, each with a chain and
 * values by hand of which some are wrong on purpose.
 */
package pixeron.project.demo;
