package pixeron.exercise.mark;

import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import pixeron.Harmless;
import pixeron.PixeronException;
import pixeron.byhand.answer.AnswerFile;
import pixeron.exercise.answer.AnswerBook;
import pixeron.format.NamedCells;
import pixeron.format.ResultTable;

/**
 * The results of a class as files: as XLSX with three sheets, or as CSV with slips and parts in two files beside it, whose names end with
 * {@code -slips} and {@code -parts}.
 */
public final class ResultsFile {

    private static final String SLIPS = "-slips";
    private static final String PARTS = "-parts";
    /** How the tables begin, that of the people first. The second is that of slips in earlier versions. */
    private static final List<List<String>> HEADS = List.of(List.of("name", "code", "filled"), List.of("slip", "count", "by"), List.of("slip", "title", "count"), List.of("part", "title", "cells"));

    private ResultsFile() {
    }

    /**
     * Checks that results can be written to a file.
     *
     * @throws PixeronException if the ending is neither .csv nor .xlsx
     */
    public static void requireKnown(Path file) {
        String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
        if (!name.endsWith(".csv") && !name.endsWith(".xlsx")) {
            throw PixeronException.of("“%s” has no valid ending. Results are written as .csv or .xlsx.", file.getFileName());
        }
    }

    /**
     * Returns the files that were written.
     *
     * @param file ends with .csv or .xlsx
     * @throws PixeronException if they cannot be
     */
    public static List<Path> write(Path file, ClassTable table) {
        requireKnown(file);
        if (isWorkbook(file)) {
            AnswerBook.writeWorkbook(file, List.of(sheet("people", table.people()), sheet("slips", table.slipRows()), sheet("parts", table.partRows())));
        } else {
            // That of the people comes last: where it is, the others are.
            ResultTable.write(beside(file, SLIPS), table.slipRows());
            ResultTable.write(beside(file, PARTS), table.partRows());
            ResultTable.write(file, table.people());
        }
        return targets(file);
    }

    /**
     * Returns the files that {@link #write} writes, the named one first.
     *
     * @param file ends with .csv or .xlsx
     */
    public static List<Path> targets(Path file) {
        return isWorkbook(file) ? List.of(file) : List.of(file, beside(file, SLIPS), beside(file, PARTS));
    }

    /** Returns whether a file holds results that were written here before. */
    public static boolean isResults(Path file) {
        try {
            List<NamedCells> sheets = AnswerFile.sheets(file);
            List<List<String>> rows = sheets.isEmpty() ? List.of() : sheets.get(0).cells().rows();
            List<String> head = rows.isEmpty() ? List.of() : rows.get(0);
            return head.size() > 2 && HEADS.contains(head.subList(0, 3));
        } catch (PixeronException none) {
            return false;
        }
    }

    private static boolean isWorkbook(Path file) {
        return file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(".xlsx");
    }

    private static AnswerBook.Sheet sheet(String name, List<List<String>> rows) {
        return new AnswerBook.Sheet(name, rows.stream().map(row -> row.stream().map(Harmless::cell).toList()).toList());
    }

    private static Path beside(Path file, String added) {
        String name = file.getFileName().toString();
        return file.resolveSibling(name.substring(0, name.length() - 4) + added + name.substring(name.length() - 4));
    }
}
