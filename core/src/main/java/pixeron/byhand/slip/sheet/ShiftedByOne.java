package pixeron.byhand.slip.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import pixeron.PixeronException;
import pixeron.image.Pixel;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Way;

/**
 * The result was written down one row or one column beside where it belongs.
 *
 * <p>Gives at (i, j) the right value of a pixel beside it: above, below, left or right. Source:
 * docs/slips.md.
 */
public final class ShiftedByOne implements PlaceSlip {

    private static final Map<String, Pixel> DIRECTIONS = Map.of("down", new Pixel(1, 0), "up", new Pixel(-1, 0), "to the right",
            new Pixel(0, 1), "to the left", new Pixel(0, -1));

    @Override
    public String id() {
        return "shifted-by-one";
    }

    @Override
    public List<Way> moved(Function<Pixel, Value> result, Operation right) {
        List<Way> ways = new ArrayList<>();
        DIRECTIONS.entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(way ->
                ways.add(Way.of("all values are one position too far " + way.getKey(), pixel -> {
                    int row = pixel.row() - way.getValue().row();
                    int column = pixel.column() - way.getValue().column();
                    if (row < 0 || column < 0 || !right.contains(new Pixel(row, column))) {
                        throw PixeronException.of("Nothing is shifted here.");
                    }
                    return result.apply(new Pixel(row, column));
                })));
        return ways;
    }
}
