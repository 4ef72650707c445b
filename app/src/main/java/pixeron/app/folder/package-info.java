/** What a person keeps between two runs: settings, own kernels, unsaved work. */
package pixeron.app.folder;
