package pixeron.report;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;
import pixeron.PixeronException;
import pixeron.format.SafeFile;

/** Writes a report to a file, in the format that its ending names. */
public final class ReportFile {

    private ReportFile() {
    }

    /**
     * Writes a report.
     *
     * @param file ends with .pdf, .html or .md
     * @param report what is written
     * @throws PixeronException if the ending is none of these or the file cannot be written; an existing file stays then
     */
    public static void write(Path file, Report report) {
        byte[] bytes = bytes(file.getFileName().toString().toLowerCase(Locale.ROOT), report);
        SafeFile.write(file, out -> out.write(bytes));
    }

    /** Returns how many pages the report has on paper; costs as much as writing it as PDF. */
    public static int pages(Report report) {
        try {
            return PdfReport.pages(report);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    private static byte[] bytes(String name, Report report) {
        if (name.endsWith(".pdf")) {
            try {
                return PdfReport.of(report);
            } catch (IOException problem) {
                throw PixeronException.because(problem, "Cannot write the report as PDF: %s.", problem.getMessage());
            }
        } else if (name.endsWith(".html") || name.endsWith(".htm")) {
            return HtmlReport.of(report).getBytes(StandardCharsets.UTF_8);
        } else if (name.endsWith(".md")) {
            return MarkdownReport.of(report).getBytes(StandardCharsets.UTF_8);
        }
        throw PixeronException.of("“%s” has no valid ending. Reports are written as .pdf, .html or .md.", name);
    }
}
