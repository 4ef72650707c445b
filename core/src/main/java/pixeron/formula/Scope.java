package pixeron.formula;

import java.util.Map;
import pixeron.number.Value;

/** The values of an expression's variables. */
@FunctionalInterface
public interface Scope {

    /** No variables at all: for what a user types as a value by hand. */
    Scope EMPTY = Map.<String, Value>of()::get;

    /**
     * Returns its value; never null for a variable that the expression has.
     *
     * @param name a variable of the expression
     */
    Value value(String name);
}
