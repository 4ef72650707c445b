package pixeron.app.bench.table;

import java.util.List;
import pixeron.app.bench.parts.Words;
import pixeron.byhand.Verdict;
import pixeron.byhand.table.TableCheck;
import pixeron.byhand.table.TableSlip;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.working.Table;

/** What tables and columns are called for people. */
public final class TableWords {

    private TableWords() {
    }

    static String table(Table table) {
        return table.kind().title();
    }

    static String column(Table table, String name) {
        return table.kind().column(name);
    }

    /** Returns a value as it fits into a column. */
    static String value(Value value) {
        return !value.isExact() ? Decimals.significant(value) : Decimals.isShownAsFraction(value) ? Decimals.approximate(value) : Decimals.working(value);
    }

    static String row(Table table, int row) {
        return table.rowName(row);
    }

    static String counts(TableCheck check) {
        if (check.cells().isEmpty()) {
            return "type into the ochre columns, paste a block, or open a file";
        }
        int follow = check.count(Verdict.FOLLOWS);
        return check.cells().size() + " filled · " + check.count(Verdict.AGREES) + " agree · "
                + check.count(Verdict.DIFFERS) + " differ" + (follow == 0 ? "" : " · " + follow + " follow");
    }

    /** Returns the mark of a cell: its shape says what its color says. */
    public static String mark(TableCheck.Cell cell) {
        return Words.mark(cell.state(), cell.difference());
    }

    static String sentence(TableCheck check, TableCheck.Cell cell, Table table, List<TableSlip> slips) {
        String wrote = "You wrote " + cell.byHand().text() + ". ";
        String slip = slips.stream().filter(found -> found.cells().contains(cell)).findFirst()
                .map(found -> " " + found.text()).orElse("");
        return wrote + switch (cell.state()) {
            case AGREES -> "This value agrees.";
            case NOT_UNDERSTOOD -> "This is neither a number nor an expression.";
            case DIFFERS, NOT_ROUNDED -> "Correct value: " + value(cell.value()) + (check.count(Verdict.FOLLOWS) > 0
                    && check.first().filter(cell::equals).isPresent()
                    ? ". This is the first slip; " + check.count(Verdict.FOLLOWS)
                            + " later cells follow from it or from other slips." : ".") + slip;
            case FOLLOWS -> "This value is correct, given your earlier cells. "
                    + check.first().map(first -> "The first slip is at " + row(table, first.row()) + ", "
                            + column(table, first.column()) + ".").orElse("");
        };
    }
}
