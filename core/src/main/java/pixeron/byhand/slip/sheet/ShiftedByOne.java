package pixeron.byhand.slip.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import pixeron.PixeronException;
import pixeron.byhand.slip.Slip;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.step.Operation;
import pixeron.step.Step;

/** The result was written down one row or one column beside where it belongs. */
public final class ShiftedByOne implements Slip {

    private static final Map<String, Pixel> DIRECTIONS = Map.of("down", new Pixel(1, 0), "up", new Pixel(-1, 0), "to the right",
            new Pixel(0, 1), "to the left", new Pixel(0, -1));

    @Override
    public String id() {
        return "shifted-by-one";
    }

    @Override
    public List<Way> ways(Step step, Image before) {
        Operation operation = step.bind(before);
        List<Way> ways = new ArrayList<>();
        DIRECTIONS.entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(way ->
                ways.add(Way.of("everything is written one place too far " + way.getKey(), pixel -> {
                    int row = pixel.row() - way.getValue().row();
                    int column = pixel.column() - way.getValue().column();
                    if (row < 0 || column < 0 || !operation.contains(new Pixel(row, column))) {
                        throw PixeronException.of("Nothing is shifted here.");
                    }
                    return operation.value(new Pixel(row, column));
                })));
        return ways;
    }
}
