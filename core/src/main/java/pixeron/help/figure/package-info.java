/** What the figures of the pages show, calculated from the demo data; the window draws them. */
package pixeron.help.figure;
