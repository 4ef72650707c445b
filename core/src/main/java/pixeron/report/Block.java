package pixeron.report;

import java.util.List;

/** A part of a report, from top to bottom. */
public sealed interface Block {

    /**
     * A title.
     *
     * @param level 1 for the report, 2 for a step, 3 within a step
     */
    record Heading(int level, String text) implements Block {
    }

    /**
     * A sentence or several.
     *
     * @param isStrong whether it is emphasized, as a slip does
     */
    record Words(String text, boolean isStrong) implements Block {
    }

    /** A step as its line of text. */
    record Code(String text) implements Block {
    }

    /** Grids of numbers beside each other. */
    record Grids(List<Grid> grids) implements Block {
        public Grids {
            grids = List.copyOf(grids);
        }
    }

    /**
     * Numbers in rows and columns, with the number of their row and column around them.
     *
     * @param title what they are
     * @param firstRow the number of the first row that is shown
     * @param firstColumn the number of the first column that is shown
     * @param rows the cells
     */
    record Grid(String title, int firstRow, int firstColumn, List<List<Cell>> rows) {
        public Grid {
            rows = rows.stream().map(List::copyOf).toList();
        }
    }

    /** A value with the findings about it; blank for a cell that is not filled. */
    record Cell(String text, Mark mark) {

        /** Returns a value without a note. */
        public static Cell plain(String text) {
            return new Cell(text, Mark.NONE);
        }
    }

    /** Workings beside each other. */
    record Workings(List<Work> workings) implements Block {
        public Workings {
            workings = List.copyOf(workings);
        }
    }

    /**
     * A working.
     *
     * @param title what it is of
     * @param lines its lines
     * @param partsAt the line where it parts from the one beside it; the number of lines for none
     */
    record Work(String title, List<String> lines, int partsAt) {
        public Work {
            lines = List.copyOf(lines);
        }
    }

    /** A table with a head. */
    record Listing(List<String> columns, List<List<Cell>> rows) implements Block {
        public Listing {
            columns = List.copyOf(columns);
            rows = rows.stream().map(List::copyOf).toList();
        }
    }
}
