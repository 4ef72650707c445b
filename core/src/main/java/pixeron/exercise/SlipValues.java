package pixeron.exercise;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import pixeron.PixeronException;
import pixeron.byhand.slip.search.KnownSlips;
import pixeron.byhand.table.TableSlips;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Way;
import pixeron.working.Table;

/** What known slips would give at a pixel. */
public final class SlipValues {

    /**
     * A value that comes of a slip.
     *
     * @param id of the slip; the first of those that give the value, in the order of preference
     * @param words what was done, behind "is what you get when"
     * @param value that comes of it
     */
    public record SlipValue(String id, String words, Value value) {
    }

    /** A step with very many ways to make one slip is not asked for all of them at every cell. */
    private static final int MOST_WAYS = 40;

    private final Operation operation;
    private final List<Entry> entries = new ArrayList<>();

    private record Entry(String id, Way way) {
    }

    /** Calculates the ways of all slips once for all cells. */
    public SlipValues(Operation operation) {
        this.operation = operation;
        for (Slip slip : KnownSlips.of(operation.step().type())) {
            slip.ways(operation).stream().limit(MOST_WAYS).forEach(way -> entries.add(new Entry(slip.id(), way)));
        }
    }

    /**
     * Returns different values, none of them right.
     *
     * @param most so many at most
     */
    public List<SlipValue> at(Pixel pixel, int most) {
        List<SlipValue> found = new ArrayList<>();
        Set<String> known = new HashSet<>(Set.of(Decimals.table(operation.value(pixel))));
        for (Entry entry : entries) {
            if (found.size() == most) {
                break;
            }
            try {
                Value value = entry.way().value().apply(pixel);
                if (known.add(Decimals.table(value))) {
                    found.add(new SlipValue(entry.id(), entry.way().words(), value));
                }
            } catch (PixeronException withoutValue) {
                // A user with this slip would have nothing to write here.
                continue;
            }
        }
        return found;
    }

    /**
     * Returns what known slips would give in a cell of a table.
     *
     * @param ways of the table
     * @return different values, none of them right
     */
    public static List<SlipValue> inTable(List<TableSlips.TableWay> ways, Table table, int row, String column) {
        List<SlipValue> found = new ArrayList<>();
        Set<String> known = new HashSet<>();
        table.value(row, column).ifPresent(right -> known.add(Decimals.table(right)));
        for (TableSlips.TableWay way : ways) {
            Optional<Value> value = way.column().equals(column) ? way.row().apply(row) : Optional.empty();
            value.filter(given -> known.add(Decimals.table(given))).ifPresent(given -> found.add(new SlipValue(way.id(), way.words(), given)));
        }
        return found;
    }
}
