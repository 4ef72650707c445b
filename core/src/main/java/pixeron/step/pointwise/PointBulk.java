package pixeron.step.pointwise;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;
import pixeron.PixeronException;
import pixeron.formula.Compiled;
import pixeron.formula.Expression;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.LevelPairs;
import pixeron.image.LevelTable;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.number.Value;
import pixeron.step.Progress;

/**
 * All pixels of a point step at once: looked up by level, by pairs of levels of two images, or value by value where neither goes.
 *
 * <p>Cost: the formula once for every level, pair or value that there is; then one look-up a pixel.
 */
final class PointBulk {

    private static final int REPORT_EVERY = 1 << 14;
    /** More pairs of levels than these are not worked out beforehand. */
    private static final int MOST_PAIRS = 1 << 16;

    private final PointOperation operation;
    private final PointRule rule;
    private final Image before;

    PointBulk(PointOperation operation, PointRule rule, Image before) {
        this.operation = operation;
        this.rule = rule;
        this.before = before;
    }

    Image result(Progress progress) {
        return before.isLevelImage() && !rule.hasPlace() ? fromLevels(progress) : fromPairs().orElseGet(() -> fromValues(progress));
    }

    /** Two images of levels: worked out once for every pair of levels, where the pixels are more than the pairs. */
    private Optional<Image> fromPairs() {
        Optional<Image> other = rule.other().map(PointRule.Other::image).filter(Image::isLevelImage);
        if (other.isEmpty() || rule.hasRowOrColumn() || !before.isLevelImage()) {
            return Optional.empty();
        }
        int span = other.get().maximumLevel() + 1;
        long pairs = (before.maximumLevel() + 1L) * span;
        if (pairs > MOST_PAIRS || pairs > operation.calculatedArea().count()) {
            return Optional.empty();
        }
        Function<Value[], Value> formula = ofPairs();
        return LevelPairs.of((int) pairs, span, pair -> {
            try {
                Value value = operation.finish().apply(formula.apply(new Value[] {Rational.of(pair / span), Rational.of(pair % span)}));
                return Image.isLevel(value, rule.maximumLevel()) ? ((Rational) value).toInt() : LevelPairs.NONE;
            } catch (PixeronException withoutValue) {
                return LevelPairs.NONE;
            }
        }).applyTo(before, other.get(), operation.calculatedArea(), rule.maximumLevel());
    }

    /** The formula of r and t; where it is one for all samples its names are looked up once. */
    private Function<Value[], Value> ofPairs() {
        Optional<Expression> same = rule.formula();
        if (same.isEmpty()) {
            return pair -> operation.exact(pair[0], pair[1], PointOperation.NO_PLACE);
        }
        List<Value> known = new ArrayList<>();
        Compiled compiled = Compiled.of(same.get(), name -> {
            if (name.equals("r") || name.equals(PointOperation.OTHER)) {
                return name.equals("r") ? 0 : 1;
            }
            known.add(operation.variable(name, Rational.ZERO, PointOperation.NO_PLACE));
            return known.size() + 1;
        });
        Value[] constants = known.toArray(Value[]::new);
        return pair -> {
            Value[] numbers = Arrays.copyOf(pair, pair.length + constants.length);
            System.arraycopy(constants, 0, numbers, pair.length, constants.length);
            return compiled.at(numbers);
        };
    }

    private Image fromLevels(Progress progress) {
        // Counting which levels occur costs more than working out the few levels of a byte that do not.
        Optional<char[]> levels = before.maximumLevel() <= 255 ? levels(level -> true) : Optional.empty();
        if (levels.isEmpty()) {
            Histogram present = Histogram.of(before, operation.calculatedArea());
            levels = levels(level -> present.count(level) > 0);
        }
        return levels.map(found -> LevelTable.of(found, rule.maximumLevel()))
                .map(table -> operation.partArea().isPresent() ? table.applyTo(before, operation.calculatedArea()) : table.applyTo(before))
                .orElseGet(() -> fromValues(progress));
    }

    /** @return the new level for every level that occurs, or nothing when one of them has none */
    private Optional<char[]> levels(IntPredicate occurs) {
        char[] levels = new char[before.maximumLevel() + 1];
        // Sixteen bits have levels enough for both cores.
        boolean hasAll = IntStream.range(0, levels.length).parallel().allMatch(level -> {
            Optional<Value> value = occurs.test(level) ? valueOrNothing(Rational.of(level)) : Optional.of(Rational.ZERO);
            boolean isLevel = value.isPresent() && Image.isLevel(value.get(), rule.maximumLevel());
            levels[level] = isLevel ? (char) ((Rational) value.get()).toInt() : 0;
            return isLevel;
        });
        return hasAll ? Optional.of(levels) : Optional.empty();
    }

    private Optional<Value> valueOrNothing(Value sample) {
        try {
            return Optional.of(operation.finish().apply(operation.exact(sample, PointOperation.NO_PLACE)));
        } catch (PixeronException withoutValue) {
            return Optional.empty();
        }
    }

    private Image fromValues(Progress progress) {
        Map<Value, Value> known = new HashMap<>();
        Map<List<Value>, Value> knownPairs = new HashMap<>();
        Optional<Image> other = rule.hasRowOrColumn() ? Optional.empty() : rule.other().map(PointRule.Other::image);
        Value[] values = new Value[before.count()];
        for (int n = 0; n < values.length; n++) {
            Value sample = before.value(n);
            Pixel pixel = before.pixel(n);
            values[n] = !operation.isWithinArea(pixel) ? sample
                    : other.isPresent() ? knownPairs.computeIfAbsent(List.of(sample, other.get().value(n)), pair -> operation.valueAt(pixel, sample))
                    : rule.hasPlace() ? operation.valueAt(pixel, sample)
                    : known.computeIfAbsent(sample, s -> operation.valueAt(pixel, s));
            if (n % REPORT_EVERY == 0) {
                progress.report((double) n / values.length);
            }
        }
        return Image.from(before.rows(), before.columns(), rule.maximumLevel(), values);
    }
}
