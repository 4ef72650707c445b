package pixeron.step.table;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import pixeron.PixeronException;
import pixeron.image.Histogram;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.working.Table;
import pixeron.working.TableKind;

/** The tables with a row for every level 0–M. */
public final class LevelRows {

    private static final Map<String, String> WORDS = Map.of("k", "level k", "n", "count n", "p", "relative p", "running",
            "cumulative C", "share", "relative P", "s", "level s");
    /** Counts of levels. */
    public static final TableKind HISTOGRAM = TableKind.of("histogram", "Histogram table").with(WORDS);
    /** What becomes of every level. */
    public static final TableKind LEVELS = TableKind.of("levels", "Levels table").with(WORDS);

    /** Column: how often the level occurs. */
    public static final String COUNT = "n";
    /** Column: how often the levels up to it occur. */
    public static final String RUNNING = "running";
    /** Column: the value before rounding. */
    public static final String EXACT = "exact";
    /** Column: the new level. */
    public static final String NEW_LEVEL = "s";

    private LevelRows() {
    }

    private static List<Value> counted(Histogram histogram, int level) {
        return List.of(Rational.of(level), Rational.of(histogram.count(level)),
                Rational.of(histogram.count(level), total(histogram)));
    }

    private static int total(Histogram histogram) {
        return histogram.running(histogram.maximumLevel());
    }

    private static Table.Rule share(Histogram histogram) {
        return TableRule.of("n / N", Map.of("N", Rational.of(total(histogram))), "n");
    }

    /** Returns k, n(k), p(k). */
    public static Table histogram(Histogram histogram) {
        List<List<Value>> rows = new ArrayList<>();
        for (int level = 0; level <= histogram.maximumLevel(); level++) {
            rows.add(counted(histogram, level));
        }
        return new Table(HISTOGRAM, List.of("k", "n", "p"), rows).withRules(Map.of("p", share(histogram)))
                .withSums("n", "p");
    }

    /** Returns k, n(k), p(k), C(k): the counts of an image on which nothing is calculated. */
    public static Table counts(Histogram histogram) {
        List<List<Value>> rows = new ArrayList<>();
        for (int level = 0; level <= histogram.maximumLevel(); level++) {
            List<Value> row = new ArrayList<>(counted(histogram, level));
            row.add(Rational.of(histogram.running(level)));
            rows.add(row);
        }
        return new Table(HISTOGRAM, List.of("k", COUNT, "p", RUNNING), rows).withRules(Map.of("p", share(histogram),
                RUNNING, TableRule.of("runningAbove + n", Map.of(), "runningAbove", COUNT))).withSums(COUNT, "p");
    }

    /**
     * Returns k, n(k), p(k), C(k), P(k), exact value, new level; without the rows of levels that have no value.
     *
     * @param exact the value of a level before rounding
     * @param finish rounding and overflow
     * @param mapping the exact value as a rule over the cumulative count, where it is one
     */
    public static Table levels(Histogram histogram, IntFunction<Value> exact, Finish finish, Optional<Table.Rule> mapping) {
        List<List<Value>> rows = new ArrayList<>();
        for (int level = 0; level <= histogram.maximumLevel(); level++) {
            try {
                List<Value> row = new ArrayList<>(counted(histogram, level));
                Value value = exact.apply(level);
                row.addAll(List.of(Rational.of(histogram.running(level)),
                        Rational.of(histogram.running(level), total(histogram)), value, finish.apply(value)));
                rows.add(row);
            } catch (PixeronException withoutValue) {
                // Such as the logarithm of a level that does not occur: there is nothing to write.
                continue;
            }
        }
        Map<String, Table.Rule> rules = new HashMap<>(Map.of("p", share(histogram),
                "running", TableRule.of("runningAbove + n", Map.of(), "runningAbove", "n"),
                "share", TableRule.of("running / N", Map.of("N", Rational.of(total(histogram))), "running"),
                "s", TableRule.finished(finish, "exact")));
        mapping.ifPresent(rule -> rules.put("exact", rule));
        return new Table(LEVELS, List.of("k", "n", "p", "running", "share", "exact", "s"), rows).withRules(rules)
                .withSums("n", "p");
    }

    /** Returns a table as it is in written results: that of levels without its shares, which n says already. */
    public static Table written(Table table) {
        return table.kind().equals(LEVELS) ? table.without("share") : table;
    }
}
