package pixeron.loop;

import java.util.List;
import pixeron.number.Value;

/** Something that is done. */
public sealed interface Statement {

    /** A variable gets a value. */
    record Set(String name, Code value) implements Statement {
    }

    /** A variable goes through the whole numbers from one on, below another. */
    record Loop(String name, Code from, Code below, List<Statement> body) implements Statement {
    }

    record When(Code condition, List<Statement> then, List<Statement> otherwise) implements Statement {
    }

    /** A new list without entries. */
    record NewList(String name) implements Statement {
    }

    /** A new list of so many zeros. */
    record Zeros(String name, Code size) implements Statement {
    }

    /** One more entry at the end of a list. */
    record Put(String list, Code value) implements Statement {
    }

    /** An entry of a list gets a value. */
    record SetAt(String list, Code index, Code value) implements Statement {
    }

    /** The entries of a list are put in order, the smallest first. */
    record Sort(String list) implements Statement {
    }

    /** A grid of numbers that the step has. */
    record Grid(String name, List<List<Value>> rows) implements Statement {
    }

    /** A list of numbers that the step has. */
    record Values(String name, List<Value> values) implements Statement {
    }

    /** A new grid of zeros. */
    record NewGrid(String name, Code rows, Code columns) implements Statement {
    }

    /** A cell of a grid gets a value. */
    record SetCell(String grid, Code row, Code column, Code value) implements Statement {
    }

    /** Words for whoever reads the program. */
    record Words(String text) implements Statement {
    }

    static Statement set(String name, Code value) {
        return new Set(name, value);
    }
}
