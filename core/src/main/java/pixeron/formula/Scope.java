package pixeron.formula;

import java.util.Map;
import pixeron.number.Value;

/** The values of an expression's variables. */
@FunctionalInterface
public interface Scope {

    /** No variables at all: for what a person types as a value by hand. */
    Scope EMPTY = Map.<String, Value>of()::get;

    /**
     * @param name a variable of the expression
     * @return its value; never null for a variable that the expression has
     */
    Value value(String name);
}
