/** Every reader of the core as a target for a fuzzer. */
package pixeron.fuzz;
