package pixeron.help.figure;

import java.util.List;

/**
 * A figure of a page.
 *
 * @param parts from left to right
 */
public record Figure(List<Part> parts) {

    public Figure {
        parts = List.copyOf(parts);
    }

    static Figure of(Part... parts) {
        return new Figure(List.of(parts));
    }
}
