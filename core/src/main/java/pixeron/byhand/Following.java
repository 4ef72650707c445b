package pixeron.byhand;

import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Operation;

/**
 * Cells that differ, but are right for the user's own values of the step before, or for their own tables of this step: they
 * follow from an earlier slip and are none themselves.
 *
 * @param ofStep the cells that follow from the step before
 * @param ofTables those that do not, but follow from a table of this step, by its name
 */
public record Following(Set<Pixel> ofStep, Map<String, Set<Pixel>> ofTables) {

    /** Nothing follows. */
    public static final Following NONE = new Following(Set.of(), Map.of());

    public Following {
        ofStep = Set.copyOf(ofStep);
        ofTables = Map.copyOf(ofTables);
    }

    /** Returns all cells that follow. */
    public Set<Pixel> pixels() {
        Set<Pixel> all = new HashSet<>(ofStep);
        ofTables.values().forEach(all::addAll);
        return all;
    }

    /** Returns this with what follows from tables; a cell is taken by the first that it follows from. */
    public Following with(Map<String, Set<Pixel>> tables) {
        Set<Pixel> taken = new HashSet<>(ofStep);
        Map<String, Set<Pixel>> rest = new LinkedHashMap<>();
        tables.forEach((name, found) -> {
            Set<Pixel> own = found.stream().filter(taken::add).collect(Collectors.toSet());
            if (!own.isEmpty()) {
                rest.put(name, own);
            }
        });
        return new Following(ofStep, rest);
    }

    /**
     * Returns the differing cells that have just this value.
     *
     * @param given what a pixel gets from something of the user's own; empty where that says nothing
     */
    public static Set<Pixel> cells(Check check, Function<Pixel, Optional<Value>> given) {
        return check.differing().stream().filter(cell -> given.apply(cell.pixel()).filter(cell.byHand()::agreesWith)
                .isPresent()).map(CellCheck::pixel).collect(Collectors.toSet());
    }

    /**
     * Returns the differing cells that are right for the earlier values.
     *
     * @param check the user's values for a step
     * @param operation that step, bound to what the step before gives
     * @param earlier the user's values for the step before; those that are not filled are taken from the right ones
     */
    public static Following of(Check check, Operation operation, HandSheet earlier) {
        if (check.differing().isEmpty() || earlier.isEmpty()) {
            return NONE;
        }
        try {
            Operation given = operation.step().bind(operation.inputs().on(theirs(earlier, operation.before())));
            return new Following(cells(check, pixel -> given.contains(pixel) ? Optional.of(given.value(pixel))
                    : Optional.empty()), Map.of());
        } catch (PixeronException withoutResult) {
            // From values such as these the step gives nothing.
            return NONE;
        }
    }

    /** Returns what the user went on with: their values where they wrote some, the right ones elsewhere. */
    static Image theirs(HandSheet earlier, Image before) {
        Value[] values = new Value[before.count()];
        Arrays.setAll(values, before::value);
        earlier.cells().forEach((pixel, written) -> {
            if (before.contains(pixel) && written.value().isPresent()) {
                values[before.offset(pixel)] = written.value().get();
            }
        });
        return Image.from(before.rows(), before.columns(), before.maximumLevel(), values);
    }

    /** Returns the check without the cells that follow. */
    public Check rest(Check check) {
        Set<Pixel> follow = pixels();
        List<CellCheck> own = check.cells().stream().filter(cell -> !follow.contains(cell.pixel())).toList();
        return follow.isEmpty() ? check : new Check(own);
    }
}
