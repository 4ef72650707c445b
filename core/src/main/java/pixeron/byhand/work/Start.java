package pixeron.byhand.work;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import pixeron.byhand.CellCheck;
import pixeron.byhand.Verdict;
import pixeron.byhand.table.TableCheck;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.working.TableKind;

/**
 * Where a user's work on a chain first goes wrong.
 *
 * @param at the step
 * @param inTable the cell of a table; empty when it is a cell of the sheet
 * @param cell the cell of the sheet
 * @param following how many later differing cells follow from something earlier: in the table, the sheet and later steps
 * @param others how many differing cells do not, without this one
 */
public record Start(At at, Optional<InTable> inTable, Optional<CellCheck> cell, int following, int others) {

    /**
     * A face of a step's result.
     *
     * @param position of the step, from 0
     * @param channel the name of the face; empty where there is only one
     */
    public record At(int position, Optional<String> channel) {
    }


    /**
     * A cell of a table.
     *
     * @param kind of the table
     * @param row for people, such as k = 3
     * @param cell the findings about it
     */
    public record InTable(TableKind kind, String row, TableCheck.Cell cell) {
    }

    /**
     * Returns where it starts; empty when nothing is wrong.
     *
     * @param steps the user's work, step by step
     */
    public static Optional<Start> of(List<StepWork> steps) {
        int following = 0;
        int own = 0;
        for (StepWork step : steps) {
            following += step.following().pixels().size();
            own += step.check().differing().size() - step.following().pixels().size();
            for (TableCheck table : step.tables().values()) {
                following += table.count(Verdict.FOLLOWS);
                own += table.count(Verdict.DIFFERS);
            }
        }
        int others = own - 1;
        int follow = following;
        return steps.stream().flatMap(step -> first(step).stream()).findFirst().map(first -> new Start(first.at,
                first.inTable, first.cell, follow, others));
    }

    private static At at(StepWork step) {
        return new At(step.position(), step.channel());
    }

    /** Returns the step's position, from 0. */
    public int position() {
        return at.position();
    }

    private static Optional<Start> first(StepWork step) {
        for (String name : step.tables().keySet()) {
            Optional<TableCheck.Cell> cell = step.tables().get(name).first();
            if (cell.isPresent()) {
                return Optional.of(new Start(at(step), Optional.of(new InTable(step.table(name).kind(),
                        step.table(name).rowName(cell.get().row()), cell.get())), Optional.empty(), 0, 0));
            }
        }
        return step.following().rest(step.check()).first().map(cell -> new Start(at(step), Optional.empty(), Optional.of(cell), 0, 0));
    }

    /**
     * Returns one line: where, what was written, what is right, and what follows.
     *
     * @param place says a pixel as the user counts
     */
    public String sentence(Function<Pixel, String> place) {
        String where = "First mistake: step " + (position() + 1) + ", " + at.channel().map(channel -> channel + ", ").orElse("") + inTable.map(found -> found.kind.title() + ", " + found.row
                + ", " + found.kind.column(found.cell.column()) + ". " + numbers(found.cell.byHand().text(),
                        Decimals.working(found.cell.value())))
                .orElseGet(() -> place.apply(cell.orElseThrow().pixel()) + ". " + numbers(cell.orElseThrow().byHand().text(),
                        Decimals.working(cell.orElseThrow().value())));
        return where + "." + (following == 0 ? "" : " " + following + (following == 1 ? " later difference follows."
                : " later differences follow.")) + (others == 0 ? "" : " " + others + (others == 1 ? " other cell differs" : " other cells differ")
                        + " as well.");
    }

    private static String numbers(String written, String right) {
        return "You wrote " + written + "; the correct value is " + right;
    }
}
