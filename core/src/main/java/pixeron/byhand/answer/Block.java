package pixeron.byhand.answer;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import pixeron.byhand.HandValue;
import pixeron.format.CellTable;

/**
 * A rectangle around values that touch each other, at their corners too; words around it do not belong to it.
 *
 * @param top first row, from 0
 * @param left first column, from 0
 */
record Block(int top, int left, int height, int width) {

    private static final int LETTERS = 26;

    /** Returns all of a table, from the top; single values that touch nothing too. */
    static List<Block> all(CellTable table) {
        List<List<String>> rows = table.rows();
        boolean[][] open = new boolean[rows.size()][table.width()];
        for (int i = 0; i < rows.size(); i++) {
            for (int j = 0; j < rows.get(i).size(); j++) {
                open[i][j] = !rows.get(i).get(j).isBlank() && HandValue.parse(rows.get(i).get(j)).value().isPresent();
            }
        }
        List<Block> blocks = new ArrayList<>();
        for (int i = 0; i < open.length; i++) {
            for (int j = 0; j < open[i].length; j++) {
                if (open[i][j]) {
                    blocks.add(around(open, i, j));
                }
            }
        }
        return blocks;
    }

    private static Block around(boolean[][] open, int row, int column) {
        int[] bounds = {row, column, row, column};
        Deque<int[]> next = new ArrayDeque<>();
        open[row][column] = false;
        next.add(new int[] {row, column});
        while (!next.isEmpty()) {
            int[] at = next.remove();
            bounds[0] = Math.min(bounds[0], at[0]);
            bounds[1] = Math.min(bounds[1], at[1]);
            bounds[2] = Math.max(bounds[2], at[0]);
            bounds[3] = Math.max(bounds[3], at[1]);
            for (int i = Math.max(0, at[0] - 1); i <= Math.min(open.length - 1, at[0] + 1); i++) {
                for (int j = Math.max(0, at[1] - 1); j <= Math.min(open[i].length - 1, at[1] + 1); j++) {
                    if (open[i][j]) {
                        open[i][j] = false;
                        next.add(new int[] {i, j});
                    }
                }
            }
        }
        return new Block(bounds[0], bounds[1], bounds[2] - bounds[0] + 1, bounds[3] - bounds[1] + 1);
    }

    /** Returns whether its first row and column only count: blank or any in the corner, then 0, 1, 2 … or 1, 2, 3 …. */
    boolean isNumbered(CellTable table) {
        return height > 1 && width > 1 && counts(table, true) && counts(table, false);
    }

    private boolean counts(CellTable table, boolean isRow) {
        int length = (isRow ? width : height) - 1;
        List<List<String>> cells = table.part(top, left, height, width).rows();
        String first = isRow ? cells.get(0).get(1) : cells.get(1).get(0);
        if (!first.equals("0") && !first.equals("1")) {
            return false;
        }
        for (int n = 0; n < length; n++) {
            String cell = isRow ? cells.get(0).get(n + 1) : cells.get(n + 1).get(0);
            if (!cell.equals(String.valueOf(Integer.parseInt(first) + n))) {
                return false;
            }
        }
        return true;
    }

    /** Returns it without its first row and column. */
    Block inner() {
        return new Block(top + 1, left + 1, height - 1, width - 1);
    }

    /** Returns where it stands, such as Work!B2:I9. */
    String where(String sheet) {
        return (sheet.isEmpty() ? "" : sheet + "!") + cell(top, left) + ":" + cell(top + height - 1, left + width - 1);
    }

    private static String cell(int row, int column) {
        StringBuilder letters = new StringBuilder();
        for (int n = column + 1; n > 0; n = (n - 1) / LETTERS) {
            letters.insert(0, (char) ('A' + (n - 1) % LETTERS));
        }
        return letters.append(row + 1).toString();
    }
}
