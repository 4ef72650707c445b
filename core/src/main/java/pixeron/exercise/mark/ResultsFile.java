package pixeron.exercise.mark;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import pixeron.PixeronException;
import pixeron.exercise.answer.AnswerBook;

/**
 * The results of a class as files: as XLSX with three sheets, or as CSV with slips and parts in two files beside it, whose names end with
 * {@code -slips} and {@code -parts}.
 */
public final class ResultsFile {

    private ResultsFile() {
    }

    /** @throws PixeronException if the ending is neither .csv nor .xlsx */
    public static void requireKnown(Path file) {
        String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
        if (!name.endsWith(".csv") && !name.endsWith(".xlsx")) {
            throw PixeronException.of("Results are written as .csv or .xlsx, and \"%s\" ends with neither.", file.getFileName());
        }
    }

    /**
     * @param file ends with .csv or .xlsx
     * @return the files that were written
     * @throws PixeronException if they cannot be
     */
    public static List<Path> write(Path file, ClassTable table) {
        requireKnown(file);
        if (file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(".xlsx")) {
            AnswerBook.writeWorkbook(file, List.of(new AnswerBook.Sheet("people", table.people()), new AnswerBook.Sheet("slips", table.slipRows()),
                    new AnswerBook.Sheet("parts", table.partRows())));
            return List.of(file);
        }
        Path slips = beside(file, "-slips");
        Path parts = beside(file, "-parts");
        AnswerBook.writeText(slips, table.slipRows());
        AnswerBook.writeText(parts, table.partRows());
        AnswerBook.writeText(file, table.people());
        return List.of(file, slips, parts);
    }

    private static Path beside(Path file, String added) {
        String name = file.getFileName().toString();
        return file.resolveSibling(name.substring(0, name.length() - 4) + added + name.substring(name.length() - 4));
    }
}
