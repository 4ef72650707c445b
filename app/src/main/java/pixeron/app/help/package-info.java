/** What explains the window: keys, words, pages, the search for everything, and the first minute. */
package pixeron.app.help;
