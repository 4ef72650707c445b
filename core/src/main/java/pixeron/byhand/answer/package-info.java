/** Values by hand from a file: a table, a spreadsheet, or the image that a user's own program made. */
package pixeron.byhand.answer;
