package pixeron.format.array;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/**
 * An array as it was read, before its values are numbers of an image.
 *
 * @param notation how it was written
 * @param rows its rows; each cell has the texts of its values, one for a gray level, three or four for a pixel with channels
 * @param arePlanes whether three levels were read as planes
 * @param hasOtherReading whether three levels fit both as pixels and as planes
 * @param isFlat whether the text was a list without rows, which the number of columns can be given for
 * @param type the type that the text names, such as uint8
 * @param factor a common factor of all values, as a number in text; empty for none
 * @param notes one sentence for everything that was dropped
 */
public record ArrayCells(Notation notation, List<List<List<String>>> rows, boolean arePlanes, boolean hasOtherReading, boolean isFlat, Optional<String> type, Optional<String> factor,
        List<String> notes) {

    private static final int MOST_KNOWN = 1 << 16;

    public ArrayCells {
        rows = rows.stream().map(List::copyOf).toList();
        notes = List.copyOf(notes);
    }

    /** Returns an array of single values with nothing else known. */
    static ArrayCells of(Notation notation, List<List<String>> rows) {
        // Values that are written alike are one cell in memory.
        Map<String, List<String>> known = new HashMap<>();
        return new ArrayCells(notation, rows.stream().map(row -> row.stream().map(value -> known.size() < MOST_KNOWN ? known.computeIfAbsent(value, List::of) : List.of(value)).toList()).toList(), false, false, false, Optional.empty(), Optional.empty(), List.of());
    }

    /** Returns an array whose cells are asked for one by one. */
    public static ArrayCells of(Notation notation, int rows, int columns, BiFunction<Integer, Integer, List<String>> cell) {
        Map<List<String>, List<String>> known = new HashMap<>();
        List<List<List<String>>> all = new ArrayList<>();
        for (int i = 0; i < rows; i++) {
            List<List<String>> row = new ArrayList<>();
            for (int j = 0; j < columns; j++) {
                List<String> made = cell.apply(i, j);
                row.add(known.size() < MOST_KNOWN ? known.computeIfAbsent(made, same -> same) : made);
            }
            all.add(row);
        }
        return new ArrayCells(notation, all, false, false, false, Optional.empty(), Optional.empty(), List.of());
    }

    /** Returns a flat list. */
    public static ArrayCells flat(List<String> values) {
        return of(Notation.BRACKETS, List.of(values)).asFlat();
    }

    ArrayCells withNote(String note) {
        List<String> all = new ArrayList<>(notes);
        all.add(note);
        return new ArrayCells(notation, rows, arePlanes, hasOtherReading, isFlat, type, factor, all);
    }

    ArrayCells withFactor(String number) {
        return new ArrayCells(notation, rows, arePlanes, hasOtherReading, isFlat, type, Optional.of(number), notes);
    }

    ArrayCells asFlat() {
        return new ArrayCells(notation, rows, arePlanes, hasOtherReading, true, type, factor, notes);
    }

    /** Returns this with the name of its type. */
    public ArrayCells ofType(Optional<String> name) {
        return new ArrayCells(notation, rows, arePlanes, hasOtherReading, isFlat, name, factor, notes);
    }

    /** Returns this without another reading, because one was chosen. */
    public ArrayCells chosen() {
        return new ArrayCells(notation, rows, arePlanes, false, isFlat, type, factor, notes);
    }

    /** Returns whether so many values can be a pixel: 1, 3 or 4. */
    public static boolean isChannelCount(int count) {
        return count == 1 || count == 3 || count == 4;
    }

    /** Returns the number of values in the first cell: 1, 3 or 4. */
    public int channels() {
        return rows.isEmpty() || rows.get(0).isEmpty() ? 1 : rows.get(0).get(0).size();
    }
}
