/** All of a user's work in one file: the project, how it is read and written, and the demo cases. */
package pixeron.project;
