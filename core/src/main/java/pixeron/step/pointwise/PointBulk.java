package pixeron.step.pointwise;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import pixeron.image.Histogram;
import pixeron.image.Image;
import pixeron.image.LevelPairs;
import pixeron.image.LevelTable;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Progress;

/**
 * All pixels of a point step at once: looked up by level, by pairs of levels of two images, or value by value where neither goes.
 *
 * <p>Cost: the formula once for every level, pair or value that there is; then one look-up a pixel.
 */
final class PointBulk {

    private static final int REPORT_EVERY = 1 << 14;
    /** More pairs of levels than these are not calculated beforehand. */
    private static final int MOST_PAIRS = 1 << 16;
    /** From so many levels on they are calculated on all cores, in so many parts. */
    private static final int MANY = 1 << 12;
    private static final int PARTS = 16;

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

    /** Two images of levels: calculated once for every pair of levels, where the pixels are more than the pairs. */
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
        Supplier<PointLevels> levels = PointLevels.of(operation, rule);
        ThreadLocal<PointLevels> mine = ThreadLocal.withInitial(levels);
        return LevelPairs.of((int) pairs, span, pair -> mine.get().level(pair / span, pair % span)).applyTo(before, other.get(), operation.calculatedArea(), rule.maximumLevel());
    }

    private Image fromLevels(Progress progress) {
        // Counting which levels occur costs more than calculating the few that do not, unless these are most of them.
        boolean hasFew = before.count() < before.maximumLevel();
        Optional<char[]> levels = hasFew ? Optional.empty() : levels(level -> true);
        if (levels.isEmpty()) {
            Histogram present = Histogram.of(before, operation.calculatedArea());
            levels = levels(level -> present.count(level) > 0);
        }
        return levels.map(found -> LevelTable.of(found, rule.maximumLevel()))
                .map(table -> operation.partArea().isPresent() ? table.applyTo(before, operation.calculatedArea()) : table.applyTo(before))
                .orElseGet(() -> fromValues(progress));
    }

    /** Returns the new level for every level that occurs, or nothing when one of them has none. */
    private Optional<char[]> levels(IntPredicate occurs) {
        char[] levels = new char[before.maximumLevel() + 1];
        Supplier<PointLevels> maker = PointLevels.of(operation, rule);
        // Sixteen bits have levels enough for both cores.
        int parts = levels.length > MANY ? PARTS : 1;
        boolean hasAll = IntStream.range(0, parts).parallel().allMatch(part -> {
            PointLevels mine = maker.get();
            for (int level = part * levels.length / parts; level < (part + 1) * levels.length / parts; level++) {
                int found = occurs.test(level) ? mine.level(level, PointLevels.NONE) : 0;
                if (found == PointLevels.NONE) {
                    return false;
                }
                levels[level] = (char) found;
            }
            return true;
        });
        return hasAll ? Optional.of(levels) : Optional.empty();
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
