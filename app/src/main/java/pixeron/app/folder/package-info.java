/** What a user keeps between two runs: settings, own kernels, unsaved work. */
package pixeron.app.folder;
