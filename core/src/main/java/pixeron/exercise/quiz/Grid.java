package pixeron.exercise.quiz;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import pixeron.exercise.Part;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;

/**
 * A table of a quiz.
 *
 * @param head its first row
 * @param rows the others
 */
record Grid(List<Cell> head, List<List<Cell>> rows) {

    private static final Cell NOT_ASKED = new Text("·", false);

    /** What is in one place of the table. */
    sealed interface Cell {
    }

    /**
     * A cell with text.
     *
     * @param isHead whether it names its row or column
     */
    record Text(String text, boolean isHead) implements Cell {
    }

    /** A box to type a number into. */
    record Box(Field field) implements Cell {
    }

    private static Cell head(String text) {
        return new Text(text, true);
    }

    private static List<Cell> columns(int count) {
        return Stream.concat(Stream.of(head("")), IntStream.range(0, count).mapToObj(j -> head(String.valueOf(j)))).toList();
    }

    /** Returns the numbers of an image. */
    static Grid of(Image image) {
        return new Grid(columns(image.columns()), IntStream.range(0, image.rows()).mapToObj(i -> Stream.concat(Stream.of(head(String.valueOf(i))),
                IntStream.range(0, image.columns()).mapToObj(j -> (Cell) new Text(Decimals.cell(image.value(new Pixel(i, j))), false))).toList()).toList());
    }

    /** @param fields of the part, in reading order */
    static Grid of(Part.OfCells part, List<Field> fields) {
        Map<Pixel, Field> asked = new HashMap<>();
        for (int n = 0; n < fields.size(); n++) {
            asked.put(part.pixels().get(n), fields.get(n));
        }
        int columns = part.operation().frame().columns();
        return new Grid(columns(columns), IntStream.range(0, part.operation().frame().rows()).mapToObj(i -> Stream.concat(Stream.of(head(String.valueOf(i))),
                IntStream.range(0, columns).mapToObj(j -> cell(Optional.ofNullable(asked.get(new Pixel(i, j)))))).toList()).toList());
    }

    private static Cell cell(Optional<Field> field) {
        return field.<Cell>map(Box::new).orElse(NOT_ASKED);
    }

    /** @param fields of the part, in reading order */
    static Grid of(Part.OfTable part, List<Field> fields) {
        int keys = part.table().keys();
        List<Cell> head = Stream.concat(part.table().columns().subList(0, keys).stream(), part.columns().stream())
                .map(column -> head(part.table().kind().column(column))).toList();
        List<List<Cell>> rows = new ArrayList<>();
        int next = 0;
        for (int row : part.rows()) {
            List<Cell> cells = new ArrayList<>();
            part.table().rows().get(row).subList(0, keys).forEach(key -> cells.add(head(Decimals.table(key))));
            for (String column : part.columns()) {
                cells.add(part.table().value(row, column).isPresent() ? new Box(fields.get(next++)) : NOT_ASKED);
            }
            rows.add(cells);
        }
        return new Grid(head, rows);
    }
}
