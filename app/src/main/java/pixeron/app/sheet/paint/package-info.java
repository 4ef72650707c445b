/** What is drawn on a sheet of squared paper, and which part of it is seen. */
package pixeron.app.sheet.paint;
