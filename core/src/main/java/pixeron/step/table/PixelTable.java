package pixeron.step.table;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import pixeron.image.Pixel;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Operation;
import pixeron.step.Step;
import pixeron.step.StepType;
import pixeron.working.Line;
import pixeron.working.Table;
import pixeron.working.TableKind;
import pixeron.working.Working;

/**
 * The numbers on the way to one pixel as a table of one row, so that a user can write them by hand: the sum, the quotient,
 * the exact value, the rounded one.
 */
public final class PixelTable {

    private static final String EXACT = "exact";
    /** The column of the value that was rounded. */
    public static final String ROUNDED = "rounded";
    private static final Pattern NAME = Pattern.compile("pixel (\\d{1,9}),(\\d{1,9})");

    private PixelTable() {
    }

    /** Returns the name of the table of a pixel. */
    public static String name(Pixel pixel) {
        return "pixel " + pixel.row() + "," + pixel.column();
    }

    /** Returns the pixel whose table has this name; empty when it is another table. */
    public static Optional<Pixel> pixel(String name) {
        Matcher matcher = NAME.matcher(name);
        return matcher.matches() ? Optional.of(new Pixel(Integer.parseInt(matcher.group(1)), Integer.parseInt(matcher.group(2))))
                : Optional.empty();
    }

    /**
     * Returns that table; empty where the step has none of this name.
     *
     * @param name of one of the step's tables or of a pixel's
     */
    public static Optional<Table> named(Operation operation, String name) {
        Optional<Pixel> pixel = pixel(name);
        return pixel.isPresent() ? pixel.filter(operation::contains).map(found -> of(operation, found))
                : operation.tables().stream().filter(table -> table.name().equals(name)).findFirst();
    }

    /** Returns what a table of this step is and is called; also that of a pixel. */
    public static TableKind kind(StepType type, String name) {
        return type.tables().stream().filter(kind -> kind.name().equals(name)).findFirst().orElseGet(() ->
                TableKind.of(name, pixel(name).isPresent() ? "Working of " + name : name));
    }

    /** Returns the numbers on the way to a pixel; the last but one is calculated from the one before it where that is known. */
    public static Table of(Operation operation, Pixel pixel) {
        Step step = operation.step();
        Working working = operation.explain(pixel);
        Map<String, Value> numbers = new LinkedHashMap<>();
        Map<String, Table.Rule> rules = new HashMap<>();
        for (Line line : working.lines()) {
            line.arrived().ifPresent(arrived -> numbers.putIfAbsent(arrived.name(), arrived.value()));
        }
        quotient(numbers, "sum", "quotient", rules);
        quotient(numbers, "sum", "mean", rules);
        Finish rounding = operation.finish().with(Overflow.KEEP);
        boolean isThere = !numbers.isEmpty() && List.copyOf(numbers.values()).get(numbers.size() - 1).compareValue(
                working.exact()) == 0;
        String last = isThere ? List.copyOf(numbers.keySet()).get(numbers.size() - 1) : EXACT;
        numbers.putIfAbsent(last, working.exact());
        if (step.rounding() != Rounding.NONE) {
            numbers.put(ROUNDED, rounding.apply(working.exact()));
            rules.put(ROUNDED, TableRule.finished(rounding, last));
        }
        return new Table(kind(step.type(), name(pixel)), List.copyOf(numbers.keySet()), List.of(List.copyOf(numbers.values())))
                .withRules(rules).unkeyed();
    }

    /** What a sum is divided by is the same for the right sum and for the user's. */
    private static void quotient(Map<String, Value> numbers, String sum, String quotient, Map<String, Table.Rule> rules) {
        Value whole = numbers.get(sum);
        Value part = numbers.get(quotient);
        if (whole instanceof Rational && part instanceof Rational && part.signum() != 0) {
            rules.put(quotient, TableRule.of(sum + " / divisor", Map.of("divisor", whole.dividedBy(part)), sum));
        }
    }
}
