package pixeron.byhand.table;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import pixeron.PixeronException;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Explained;
import pixeron.step.Operation;
import pixeron.step.table.PixelTable;
import pixeron.working.Table;

/** What a step gives when a user goes on from their own tables: new levels, a limit, constants. */
public final class GivenTables {

    private GivenTables() {
    }

    /**
     * Returns for each table with something wrong in it what a pixel gets by that table, by the name of the table; a pixel of
     * which it says nothing has none.
     *
     * @param operation the step, bound to its input
     * @param hands the user's tables by name
     */
    public static Map<String, Function<Pixel, Optional<Value>>> of(Operation operation, Map<String, HandTable> hands) {
        Map<String, Function<Pixel, Optional<Value>>> given = new LinkedHashMap<>();
        for (Table table : hands.isEmpty() ? List.<Table>of() : operation.tables()) {
            HandTable hand = hands.getOrDefault(table.name(), HandTable.EMPTY);
            if (isWrong(hand, table)) {
                given(operation, table, new OwnTable(hand, table)).ifPresent(done ->
                        given.put(table.name(), pixel -> value(done, pixel)));
            }
        }
        hands.forEach((name, hand) -> PixelTable.pixel(name).ifPresent(pixel -> PixelTable.named(operation, name)
                .filter(table -> isWrong(hand, table)).ifPresent(table ->
                        given.put(name, byPixel(pixel, operation, new OwnTable(hand, table), table)))));
        return given;
    }

    private static boolean isWrong(HandTable hand, Table table) {
        return TableCheck.of(hand, table).cells().stream().anyMatch(TableCheck.Cell::isWrong);
    }

    private static Optional<Explained> given(Operation operation, Table table, OwnTable own) {
        try {
            return operation.given(table, own::value);
        } catch (PixeronException notPossible) {
            return Optional.empty();
        }
    }

    private static Optional<Value> value(Explained done, Pixel pixel) {
        try {
            return Optional.of(done.value(pixel));
        } catch (PixeronException nothingSaid) {
            return Optional.empty();
        }
    }

    /** The pixel whose numbers on the way were written by hand, finished as the step finishes. */
    private static Function<Pixel, Optional<Value>> byPixel(Pixel of, Operation operation, OwnTable own, Table table) {
        String last = table.columns().get(table.columns().size() - 1);
        return pixel -> pixel.equals(of) ? Optional.of(operation.finish().apply(own.value(0, last))) : Optional.empty();
    }
}
