package pixeron.exercise;

import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import pixeron.byhand.work.StepWork;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.working.Table;

/** A part of what is asked of a variant, with its right values. */
public sealed interface Part {

    Asked asked();

    /** Returns the step that it is about, bound to its input; of several faces the one that is meant. */
    Operation operation();

    /** Returns the name of the face of the step's result that values by hand for it belong to. */
    String face();

    /** Returns the findings about its step. */
    default StepWork work(List<StepWork> works) {
        return works.stream().filter(one -> one.position() == asked().position() && one.face().equals(face())).findFirst().orElseThrow();
    }

    /** Returns how many cells are to be filled in. */
    int count();

    /** Returns what it is, for people. */
    String title();

    /**
     * Cells of a result.
     *
     * @param pixels their places, in reading order
     */
    record OfCells(Asked asked, Operation operation, String face, List<Pixel> pixels) implements Part {
        public OfCells {
            pixels = List.copyOf(pixels);
        }

        @Override
        public int count() {
            return pixels.size();
        }

        @Override
        public String title() {
            String of = face.equals(Image.VALUE) ? "" : ", " + face;
            String which = pixels.size() == operation.frame().count() ? "" : pixels.size() == 1 ? ", one cell" : ", " + pixels.size() + " cells";
            return "Result of step " + asked.step() + " (" + operation.step().type().title().toLowerCase(Locale.ROOT) + of + ")" + which;
        }
    }

    /**
     * Columns of a table.
     *
     * @param table it, as it is right
     * @param columns those that are to be filled in
     */
    record OfTable(Asked asked, Operation operation, String face, Table table, List<String> columns) implements Part {
        public OfTable {
            columns = List.copyOf(columns);
        }

        /** Returns the rows that have a value in one of the columns. */
        public List<Integer> rows() {
            return IntStream.range(0, table.rows().size()).filter(row -> columns.stream().anyMatch(column ->
                    table.value(row, column).isPresent())).boxed().toList();
        }

        /** Returns the right values of the cells that are to be filled in, row by row. */
        public Stream<Value> values() {
            return rows().stream().flatMap(row -> columns.stream().flatMap(column -> table.value(row, column).stream()));
        }

        @Override
        public int count() {
            return (int) values().count();
        }

        @Override
        public String title() {
            String what = columns.size() == 1 && table.isKeyed() ? ", column " + table.kind().column(columns.get(0)) : "";
            return table.kind().title() + " of step " + asked.step() + " (" + operation.step().type().title().toLowerCase(Locale.ROOT) + ")" + what;
        }
    }
}
