/**
 * The page that is handed in: what was given, what was written by hand, what is right, and which slips explain the
 * difference.
 *
 * <p>{@link pixeron.report.ReportMaker} puts a {@link pixeron.report.Report} together out of blocks; Markdown, HTML and PDF each
 * write the same blocks in their way.
 */
package pixeron.report;
