package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import pixeron.loop.Code;
import pixeron.loop.Statement;

/** The loop over the cells of a window as a program: where a cell lies, and what is there. */
final class WindowProgram {

    private static final String ROW = "y";
    private static final String COLUMN = "x";

    private final Window window;
    private final String grid;

    /** @param grid what the image that is read is called */
    WindowProgram(Window window, String grid) {
        this.window = window;
        this.grid = grid;
    }

    private Code at(Code row, Code column) {
        return new Code.Cell(grid, row, column);
    }

    /**
     * Returns the loops over all cells that count.
     *
     * @param cells what is done for each cell, whose value is v and whose place in the window (a, b)
     */
    Statement over(List<Statement> cells) {
        List<Statement> body = new ArrayList<>();
        body.add(Statement.set(ROW, Code.name("i").plus(Code.name("a")).minus(Code.of(isCut() ? 0 : window.anchorRow()))));
        body.add(Statement.set(COLUMN, Code.name("j").plus(Code.name("b")).minus(Code.of(isCut() ? 0 : window.anchorColumn()))));
        Statement.Set read = new Statement.Set("v", at(Code.name(ROW), Code.name(COLUMN)));
        List<Statement> counted = new ArrayList<>(ProgramBorder.reading(window.border(), ROW, COLUMN, read, window.outside()));
        counted.addAll(cells);
        if (window.border() == Border.INSIDE) {
            body.add(new Statement.When(ProgramBorder.isInside(ROW, COLUMN), counted, List.of()));
        } else {
            body.addAll(counted);
        }
        return new Statement.Loop("a", Code.of(0), Code.of(window.height()), List.of(new Statement.Loop("b", Code.of(0), Code.of(window.width()), body)));
    }

    private boolean isCut() {
        return window.border() == Border.CROP;
    }

    /** Returns what is done only where the whole window is inside; the others stay. */
    List<Statement> kept(List<Statement> body) {
        if (window.border() != Border.KEEP) {
            return body;
        }
        Code top = Code.name("i").minus(Code.of(window.anchorRow()));
        Code left = Code.name("j").minus(Code.of(window.anchorColumn()));
        Code fits = new Code.All(List.of(top.atLeast(Code.of(0)), left.atLeast(Code.of(0)), top.plus(Code.of(window.height())).less(Code.name("H").plus(Code.of(1))),
                left.plus(Code.of(window.width())).less(Code.name("W").plus(Code.of(1)))));
        return List.of(new Statement.When(fits, body, List.of(Statement.set("s", at(Code.name("i"), Code.name("j"))))));
    }

    /** Returns rows of the result. */
    Code rows() {
        return isCut() ? Code.name("H").minus(Code.of(window.height() - 1L)) : Code.name("H");
    }

    Code columns() {
        return isCut() ? Code.name("W").minus(Code.of(window.width() - 1L)) : Code.name("W");
    }

    /** Returns the pixel of the image that is where the pixel of the result is calculated. */
    Code sample() {
        return at(Code.name("i").plus(Code.of(isCut() ? window.anchorRow() : 0)), Code.name("j").plus(Code.of(isCut() ? window.anchorColumn() : 0)));
    }

    /** Returns empty where one of the reductions is not told as a program. */
    static Optional<List<Reduced>> all(List<Reduction<?>> reductions) {
        List<Reduced> all = new ArrayList<>();
        for (Reduction<?> reduction : reductions) {
            Optional<Reduced> one = reduction.program();
            if (one.isEmpty()) {
                return Optional.empty();
            }
            all.add(one.get());
        }
        return Optional.of(all);
    }
}
