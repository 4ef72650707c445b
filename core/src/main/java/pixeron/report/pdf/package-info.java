/** Pages that are printed: text from top to bottom, tagged for screen readers. */
package pixeron.report.pdf;
