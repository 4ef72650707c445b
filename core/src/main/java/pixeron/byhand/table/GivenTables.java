package pixeron.byhand.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import pixeron.PixeronException;
import pixeron.byhand.slip.Varied;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Operation;
import pixeron.step.PixelTable;
import pixeron.step.Step;
import pixeron.working.Table;

/** What a step gives when a person goes on from their own tables: new levels, a limit, constants. */
public final class GivenTables {

    private GivenTables() {
    }

    /**
     * @param step the step
     * @param operation it, bound to its input
     * @param hands the person's tables by name
     * @return for each table with something wrong in it what a pixel gets by that table, by the name of the table; a pixel of
     *     which it says nothing has none
     */
    public static Map<String, Function<Pixel, Optional<Value>>> of(Step step, Operation operation, Map<String, HandTable> hands) {
        Map<String, Function<Pixel, Optional<Value>>> given = new LinkedHashMap<>();
        for (Table table : hands.isEmpty() ? List.<Table>of() : operation.tables()) {
            HandTable hand = hands.getOrDefault(table.name(), HandTable.EMPTY);
            if (TableCheck.of(hand, table).cells().stream().anyMatch(TableCheck.Cell::isWrong)) {
                OwnTable own = new OwnTable(hand, table);
                (table.name().equals("levels") ? byLevel(own, table, operation.before())
                        : step(step, own, table, hand).map(other -> byStep(other, operation.before())))
                                .ifPresent(values -> given.put(table.name(), values));
            }
        }
        hands.forEach((name, hand) -> PixelTable.pixel(name).ifPresent(pixel -> PixelTable.named(step, operation, name)
                .filter(table -> TableCheck.of(hand, table).cells().stream().anyMatch(TableCheck.Cell::isWrong))
                .ifPresent(table -> given.put(name, byPixel(pixel, step, new OwnTable(hand, table), table, operation.before())))));
        return given;
    }

    private static Optional<Function<Pixel, Optional<Value>>> byLevel(OwnTable own, Table table, Image before) {
        // Looked up for every differing pixel; the table itself would compare the keys of all its rows each time.
        Map<Value, Integer> rows = new HashMap<>();
        for (int row = 0; row < table.rows().size(); row++) {
            rows.put(table.rows().get(row).get(0), row);
        }
        return Optional.of(pixel -> Optional.ofNullable(rows.get(before.value(pixel))).map(row -> own.value(row, "s")));
    }

    /** The pixel whose numbers on the way were written by hand, finished as the step finishes. */
    private static Function<Pixel, Optional<Value>> byPixel(Pixel of, Step step, OwnTable own, Table table, Image before) {
        String last = table.columns().get(table.columns().size() - 1);
        return pixel -> pixel.equals(of) ? Optional.of(Finish.of(step, before.maximumLevel()).apply(own.value(0, last)))
                : Optional.empty();
    }

    private static Function<Pixel, Optional<Value>> byStep(Step step, Image before) {
        try {
            Operation operation = step.bind(before);
            return pixel -> Optional.of(operation.value(pixel));
        } catch (PixeronException notPossible) {
            return pixel -> Optional.empty();
        }
    }

    /** @return the step with the person's constants or limit */
    private static Optional<Step> step(Step step, OwnTable own, Table table, HandTable hand) {
        try {
            return switch (table.name()) {
                case "constants" -> withConstants(step, table, hand);
                case "otsu" -> Optional.of(threshold(step, largest(own, table)));
                case "two-means" -> Optional.of(threshold(step, own.value(table.rows().size() - 1, "next")));
                default -> Optional.empty();
            };
        } catch (PixeronException noSuchStep) {
            return Optional.empty();
        }
    }

    private static Optional<Step> withConstants(Step step, Table table, HandTable hand) {
        Step changed = step;
        for (String name : table.columns()) {
            Optional<Value> written = hand.cell(table.key(0), name).flatMap(cell -> cell.value());
            if (written.isEmpty()) {
                continue;
            }
            String number = Decimals.exact(written.get());
            if (name.equals("t")) {
                return Optional.of(threshold(step, written.get()));
            }
            // The constants of a stretch are called as in its formula, its keys with a hyphen.
            String key = name.replace("toLow", "to-low").replace("toHigh", "to-high");
            if (Varied.number(changed, key).isPresent() || key.equals("scale")) {
                changed = key.equals("scale") ? Varied.like(step, step.type().name() + " scale=" + number)
                        : Varied.with(changed, key, number);
            }
        }
        return changed.equals(step) ? Optional.empty() : Optional.of(changed);
    }

    private static Value largest(OwnTable own, Table table) {
        List<Integer> rows = new ArrayList<>();
        for (int row = 0; row < table.rows().size(); row++) {
            if (rows.isEmpty() || own.value(row, "between").compareValue(own.value(rows.get(0), "between")) > 0) {
                rows = List.of(row);
            }
        }
        return table.rows().get(rows.get(0)).get(0);
    }

    private static Step threshold(Step step, Value at) {
        return Varied.like(step, "threshold at=" + Decimals.exact(at) + " low=" + Varied.number(step, "low").orElse("0")
                + " high=" + Varied.number(step, "high").orElse("M"));
    }
}
