package pixeron.app.bench.parts;

import java.util.function.Function;
import javafx.util.StringConverter;

/**
 * Shows a choice by its title.
 *
 * @param <T> the type of the choices
 */
public final class Titles<T> extends StringConverter<T> {

    private final Function<T, String> title;

    public Titles(Function<T, String> title) {
        this.title = title;
    }

    @Override
    public String toString(T choice) {
        return choice == null ? "" : title.apply(choice);
    }

    /** Nobody types into a box of choices. */
    @Override
    public T fromString(String text) {
        return null;
    }
}
