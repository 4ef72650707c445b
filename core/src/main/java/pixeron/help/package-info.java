/** Pages for students and the words of the bench, as they are in docs/definitions; they are read from the program's own files. */
package pixeron.help;
