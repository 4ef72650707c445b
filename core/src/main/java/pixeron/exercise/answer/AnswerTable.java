package pixeron.exercise.answer;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.byhand.HandSheet;
import pixeron.byhand.answer.AnswerFile;
import pixeron.byhand.table.HandTable;
import pixeron.exercise.Asked;
import pixeron.exercise.Code;
import pixeron.exercise.Part;
import pixeron.exercise.Variant;
import pixeron.format.CellTable;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.project.Project;
import pixeron.working.Table;

/**
 * The table of a variant that is filled in: code and name, then for each part a line that says which, a head, and rows with blanks. The
 * cells of a result that are not asked for have a dot.
 */
public final class AnswerTable {

    private static final String CODE = "code";
    private static final String NAME = "name";
    private static final String PART = "part";
    /** Stands where nothing is to be written. */
    private static final String DOT = "·";

    private AnswerTable() {
    }

    /** Returns the cells of the table with its blanks, row by row. */
    public static List<List<String>> blank(Variant variant) {
        return filled(variant, variant.project(), "");
    }

    /**
     * Returns the cells of the table with these values in its blanks.
     *
     * @param work the variant's project with values by hand
     * @param name of the user
     */
    public static List<List<String>> filled(Variant variant, Project work, String name) {
        List<List<String>> rows = new ArrayList<>();
        rows.add(List.of(CODE, variant.code().toString()));
        rows.add(List.of(NAME, name));
        rows.add(List.of("exercise", variant.exercise().title()));
        List<Part> parts = variant.parts();
        for (int n = 0; n < parts.size(); n++) {
            Part part = parts.get(n);
            rows.add(List.of(""));
            rows.add(List.of(PART + " " + (n + 1), part.title(), Asked.worth(part.asked().points())));
            if (part instanceof Part.OfCells cells) {
                addCells(rows, cells, work);
            } else {
                addTable(rows, (Part.OfTable) part, work);
            }
        }
        return rows;
    }

    private static void addCells(List<List<String>> rows, Part.OfCells part, Project work) {
        HandSheet sheet = work.byHand(part.asked().position(), part.face()).sheet();
        int columns = part.operation().frame().columns();
        List<String> head = new ArrayList<>(List.of("row"));
        IntStream.range(0, columns).forEach(j -> head.add(String.valueOf(j)));
        rows.add(head);
        Set<Pixel> asked = Set.copyOf(part.pixels());
        for (int i = 0; i < part.operation().frame().rows(); i++) {
            List<String> row = new ArrayList<>(List.of(String.valueOf(i)));
            for (int j = 0; j < columns; j++) {
                Pixel pixel = new Pixel(i, j);
                row.add(!asked.contains(pixel) ? DOT : Optional.ofNullable(sheet.cells().get(pixel)).map(value -> value.text()).orElse(""));
            }
            rows.add(row);
        }
    }

    private static void addTable(List<List<String>> rows, Part.OfTable part, Project work) {
        Table table = part.table();
        List<String> keys = table.columns().subList(0, table.keys());
        List<String> head = new ArrayList<>(keys.isEmpty() ? List.of("") : keys);
        head.addAll(part.columns());
        rows.add(head);
        HandTable hand = work.byHand(part.asked().position(), part.face()).tables().getOrDefault(table.name(), HandTable.EMPTY);
        for (int row : part.rows()) {
            List<String> cells = new ArrayList<>(keys.isEmpty() ? List.of("") : table.rows().get(row).subList(0, keys.size()).stream().map(Decimals::exact).toList());
            for (String column : part.columns()) {
                cells.add(table.value(row, column).isEmpty() ? DOT : hand.cell(table.key(row), column).map(value -> value.text()).orElse(""));
            }
            rows.add(cells);
        }
    }

    /** Returns whether cells are a table of this kind: a line says which part follows. */
    static boolean matches(CellTable cells) {
        return cells.rows().stream().anyMatch(row -> part(row) > 0);
    }

    /** Returns what is beside a word in the first column; empty where the word does not be there or nothing is beside it. */
    private static Optional<String> beside(CellTable cells, String word) {
        return cells.rows().stream().filter(row -> row.size() > 1 && row.get(0).equalsIgnoreCase(word)).map(row -> row.get(1)).filter(text ->
                !text.isBlank()).findFirst();
    }

    static Optional<String> name(CellTable cells) {
        return beside(cells, NAME);
    }

    /** Returns the code that is beside its word, or else anywhere in the first column and the first rows. */
    static List<Code> codes(CellTable cells) {
        Optional<String> said = beside(cells, CODE);
        return said.isPresent() ? Code.all(said.get()) : cells.rows().stream().limit(5).flatMap(List::stream).flatMap(cell -> Code.all(cell).stream()).toList();
    }

    private static int part(List<String> row) {
        String first = row.isEmpty() ? "" : row.get(0).toLowerCase(Locale.ROOT);
        return first.matches(PART + " \\d{1,3}") ? Integer.parseInt(first.substring(PART.length() + 1)) : 0;
    }

    /**
     * Returns the variant's project with these values by hand.
     *
     * @param cells a table that was filled in, or only the values of one result
     * @param variant that it answers
     * @throws PixeronException if a part is missing its rows, or the cells have the size of no result in question
     */
    public static Project read(CellTable cells, Variant variant) {
        Project work = variant.project();
        if (!matches(cells)) {
            return readResult(cells, variant, work);
        }
        List<Part> parts = variant.parts();
        List<List<String>> rows = cells.rows();
        for (int n = 0; n < rows.size(); n++) {
            int number = part(rows.get(n));
            if (number > parts.size()) {
                throw PixeronException.of("The table has a part %d, but the exercise has only %d.", number, parts.size());
            } else if (number > 0) {
                Part part = parts.get(number - 1);
                work = part instanceof Part.OfCells result ? readCells(rows, n + 2, result, work) : readTable(rows, n + 1, (Part.OfTable) part, work);
            }
        }
        return work;
    }

    private static Project readCells(List<List<String>> rows, int first, Part.OfCells part, Project work) {
        Map<Pixel, String> texts = new HashMap<>();
        for (Pixel pixel : part.pixels()) {
            List<String> row = first + pixel.row() < rows.size() ? rows.get(first + pixel.row()) : List.of();
            if (row.isEmpty() || !row.get(0).equals(String.valueOf(pixel.row()))) {
                throw PixeronException.of("Row %d of \"%s\" is in the wrong place. Do not move the rows of the table.", pixel.row(), part.title());
            }
            String text = pixel.column() + 1 < row.size() ? row.get(pixel.column() + 1) : "";
            if (!text.isBlank()) {
                texts.put(pixel, text);
            }
        }
        return work.withByHand(part.asked().position(), part.face(), written -> written.withSheet(sheet -> sheet.with(texts)));
    }

    private static Project readTable(List<List<String>> rows, int head, Part.OfTable part, Project work) {
        Table table = part.table();
        List<String> columns = head < rows.size() ? rows.get(head) : List.of();
        Map<HandTable.Place, String> texts = new HashMap<>();
        int keys = Math.max(1, table.keys());
        List<Integer> asked = part.rows();
        for (int n = 0; n < asked.size(); n++) {
            List<String> row = head + 1 + n < rows.size() ? rows.get(head + 1 + n) : List.of();
            List<String> key = table.isKeyed() && row.size() >= keys ? row.subList(0, keys) : List.of();
            if (table.isKeyed() && !Table.key(key).equals(table.key(asked.get(n)))) {
                throw PixeronException.of("The row %s of \"%s\" is in the wrong place. Do not move the rows of the table.",
                        table.rowName(asked.get(n)), part.title());
            }
            for (String column : part.columns()) {
                int at = columns.indexOf(column);
                if (at < 0) {
                    throw PixeronException.of("The column \"%2$s\" of \"%1$s\" is missing.", part.title(), column);
                } else if (at < row.size() && !row.get(at).isBlank() && !row.get(at).equals(DOT)) {
                    texts.put(new HandTable.Place(table.key(asked.get(n)), column), row.get(at));
                }
            }
        }
        return work.withByHand(part.asked().position(), part.face(), written -> written.withTable(table.name(), hand -> hand.with(texts)));
    }

    /** Only values: they are the last result in question and has their size. */
    private static Project readResult(CellTable cells, Variant variant, Project work) {
        List<Part.OfCells> results = new ArrayList<>(variant.parts().stream().filter(Part.OfCells.class::isInstance).map(Part.OfCells.class::cast).toList());
        Collections.reverse(results);
        PixeronException problem = PixeronException.of("No answers found: there is no line \"%s 1\". Use the table that came with the exercise.", PART);
        for (Part.OfCells part : results) {
            try {
                HandSheet sheet = AnswerFile.only(cells, part.operation().frame());
                Map<Pixel, String> texts = new HashMap<>();
                part.pixels().forEach(pixel -> Optional.ofNullable(sheet.cells().get(pixel)).ifPresent(value -> texts.put(pixel, value.text())));
                return work.withByHand(part.asked().position(), part.face(), written -> written.withSheet(none -> none.with(texts)));
            } catch (PixeronException otherSize) {
                problem = otherSize;
            }
        }
        throw problem;
    }
}
