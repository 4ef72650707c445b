/** Small things that several parts of the bench share. */
package pixeron.app.bench.parts;
