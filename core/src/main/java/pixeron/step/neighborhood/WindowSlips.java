package pixeron.step.neighborhood;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import pixeron.image.Pixel;
import pixeron.step.Operation;
import pixeron.step.Slip;
import pixeron.step.Source;
import pixeron.step.Way;
import pixeron.step.key.Amount;

/** Slips that every step with a window has: something else stands outside the image, or a cell of the window is left out. */
final class WindowSlips {

    /** Constants up to this are tried one by one. */
    private static final int MOST_CONSTANTS = 255;
    /** In windows with more cells than this a single one is not looked for. */
    private static final int MOST_CELLS = 49;

    private WindowSlips() {
    }

    /** @return another border for each that there is, the constant last: it has the most ways */
    static List<Slip> borders(WindowStep type) {
        return Stream.of(Border.ZERO, Border.REPEAT, Border.MIRROR_HALF, Border.MIRROR_WHOLE, Border.WRAP, Border.KEEP,
                Border.INSIDE, Border.CONSTANT).map(border -> Slip.of("border-" + border.word(),
                        right -> ways(type, border, right))).toList();
    }

    private static List<Way> ways(WindowStep type, Border border, Operation right) {
        Border given = type.border(right.step().arguments());
        if (given == Border.CROP || given == border && border != Border.CONSTANT) {
            return List.of();
        } else if (border != Border.CONSTANT) {
            return Way.tried(words(border), () -> type.withBorder(right.step(), border, null), right);
        }
        List<Way> ways = new ArrayList<>();
        // 0 is border-zero.
        for (int outside = 1; outside <= Math.min(MOST_CONSTANTS, right.before().maximumLevel()); outside++) {
            Amount value = Amount.of(outside);
            ways.addAll(Way.tried("every value outside is taken as " + outside,
                    () -> type.withBorder(right.step(), border, value), right));
        }
        return ways;
    }

    private static String words(Border border) {
        return switch (border) {
            case ZERO -> "values outside are taken as 0";
            case REPEAT -> "outside the nearest pixel of the edge is repeated";
            case MIRROR_HALF -> "outside the image is mirrored, with the edge pixel twice";
            case MIRROR_WHOLE -> "outside the image is mirrored, with the edge pixel once";
            case WRAP -> "outside the image goes on at its other end";
            case KEEP -> "pixels whose window leaves the image keep their value";
            default -> "only the cells inside the image count";
        };
    }

    /** The same cell is left out for all pixels, where cells have no weights: it does not count. */
    static Slip missed() {
        return Slip.of("neighbor-missed", right -> {
            if (right.step().type().spelledOut(right.step()).isPresent()) {
                // There a weight is left out, with its divisor.
                return List.of();
            }
            Pixel middle = new Pixel(right.before().rows() / 2, right.before().columns() / 2);
            List<Source> cells = right.frame().contains(middle) ? right.sources(middle) : List.of();
            List<Way> ways = new ArrayList<>();
            for (int n = 0; n < cells.size() && cells.size() <= MOST_CELLS; n++) {
                Source cell = cells.get(n);
                String words = "the cell " + place(cell.row() - middle.row(), cell.column() - middle.column())
                        + " of the window is left out";
                right.missing(n).ifPresent(done -> ways.add(Way.of(words, done)));
            }
            return ways;
        });
    }

    /** @return where a cell lies from the pixel: 1 up, 2 left */
    static String place(int down, int right) {
        String row = down == 0 ? "" : Math.abs(down) + (down < 0 ? " up" : " down");
        String column = right == 0 ? "" : Math.abs(right) + (right < 0 ? " left" : " right");
        return row.isEmpty() && column.isEmpty() ? "in the middle"
                : row + (row.isEmpty() || column.isEmpty() ? "" : ", ") + column;
    }
}
