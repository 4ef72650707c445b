package pixeron.byhand;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Step;

/**
 * Cells that differ, but are right for the person's own values of the step before: they follow from an earlier slip and are
 * none themselves.
 *
 * @param pixels the cells that follow
 */
public record Following(Set<Pixel> pixels) {

    /** Nothing follows. */
    public static final Following NONE = new Following(Set.of());

    public Following {
        pixels = Set.copyOf(pixels);
    }

    /**
     * @param check the person's values for a step
     * @param step that step
     * @param earlier the person's values for the step before; those that are not filled are taken from the right ones
     * @param before what the step before gives
     * @return the differing cells that are right for the earlier values
     */
    public static Following of(Check check, Step step, HandSheet earlier, Image before) {
        if (check.differing().isEmpty() || earlier.isEmpty()) {
            return NONE;
        }
        try {
            Operation given = step.bind(theirs(earlier, before));
            return new Following(check.differing().stream().filter(cell -> given.contains(cell.pixel())
                    && cell.byHand().agreesWith(given.value(cell.pixel()))).map(CellCheck::pixel)
                    .collect(Collectors.toSet()));
        } catch (PixeronException withoutResult) {
            // From values such as these the step gives nothing.
            return NONE;
        }
    }

    /** @return what the person went on with: their values where they wrote some, the right ones elsewhere */
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

    /** @return the check without the cells that follow */
    public Check rest(Check check) {
        List<CellCheck> own = check.cells().stream().filter(cell -> !pixels.contains(cell.pixel())).toList();
        return pixels.isEmpty() ? check : new Check(own);
    }
}
