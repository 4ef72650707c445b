package pixeron.step.plain;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import org.apache.commons.numbers.fraction.BigFraction;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** A random step with windows on a random image, and its result by plain loops over fractions. */
final class WindowCase {

    private static final List<String> BORDERS = List.of("zero", "constant", "repeat", "mirror-half", "mirror-whole", "wrap",
            "keep", "inside", "crop");

    private final int[][] levels;
    private final int maximum;
    private final String border;
    private final PlainWindow window;
    private final Random random;
    private final BigFraction outside;

    WindowCase(Random random) {
        this.random = random;
        this.maximum = List.of(1, 7, 255, 1000).get(random.nextInt(4));
        this.levels = new int[1 + random.nextInt(6)][1 + random.nextInt(6)];
        for (int[] row : levels) {
            Arrays.setAll(row, j -> random.nextInt(maximum + 1));
        }
        this.border = BORDERS.get(random.nextInt(BORDERS.size()));
        this.outside = random.nextInt(2) == 0 ? Numbers.whole(random.nextInt(9) - 3) : Numbers.over(random.nextInt(9), 2);
        this.window = new PlainWindow(levels, border, outside);
    }

    /** A step: its line, its window, and its value at a pixel before rounding; null where it refuses. */
    private record Plain(String line, int height, int width, int down, int right, At at) {
    }

    private interface At {
        BigFraction of(int row, int column);
    }

    private static String text(BigFraction value) {
        return value.getDenominatorAsLong() == 1 ? "" + value.getNumerator() : value.getNumerator() + "/" + value.getDenominator();
    }

    private BigFraction[][] weights(int height, int width) {
        BigFraction[][] weights = new BigFraction[height][width];
        int kind = random.nextInt(3);
        for (BigFraction[] row : weights) {
            Arrays.setAll(row, b -> kind == 0 ? Numbers.ONE : kind == 1 ? Numbers.whole(random.nextInt(9) - 4)
                    : Numbers.over(random.nextInt(9) - 4, 1 + random.nextInt(4)));
        }
        return weights;
    }

    private static BigFraction[][] turned(BigFraction[][] weights) {
        int height = weights.length;
        int width = weights[0].length;
        BigFraction[][] turned = new BigFraction[height][width];
        for (int a = 0; a < height; a++) {
            for (int b = 0; b < width; b++) {
                turned[a][b] = weights[height - 1 - a][width - 1 - b];
            }
        }
        return turned;
    }

    private static BigFraction total(BigFraction[][] weights) {
        return Arrays.stream(weights).flatMap(Arrays::stream).reduce(Numbers.ZERO, BigFraction::add);
    }

    private static BigFraction orOne(BigFraction value) {
        return value.signum() == 0 ? Numbers.ONE : value;
    }

    private Plain kernel() {
        int height = 1 + random.nextInt(4);
        int width = 1 + random.nextInt(4);
        BigFraction[][] given = weights(height, width);
        boolean isConvolution = random.nextBoolean();
        boolean hasDivisor = random.nextInt(3) == 0;
        boolean hasAnchor = random.nextInt(3) == 0;
        int row = hasAnchor ? random.nextInt(height) : (height - 1) / 2;
        int column = hasAnchor ? random.nextInt(width) : (width - 1) / 2;
        BigFraction divisor = Numbers.over(1 + random.nextInt(9), 2);
        BigFraction offset = random.nextInt(3) == 0 ? Numbers.over(-7, 3) : Numbers.ZERO;
        String line = "kernel weights=\"" + Arrays.stream(given).map(cells -> Arrays.stream(cells)
                .map(WindowCase::text).collect(Collectors.joining(" "))).collect(Collectors.joining(" | ")) + "\""
                + (isConvolution ? " sum=convolution" : "") + (hasDivisor ? " divisor=" + text(divisor) : "")
                + (hasAnchor ? " anchor=\"" + row + " " + column + "\"" : "") + " offset=" + text(offset);
        BigFraction[][] laid = isConvolution ? turned(given) : given;
        int down = isConvolution ? height - 1 - row : row;
        int right = isConvolution ? width - 1 - column : column;
        return new Plain(line, height, width, down, right, (i, j) -> {
            BigFraction[] sums = window.sum(laid, i, j, down, right);
            BigFraction by = hasDivisor ? divisor : total(given).signum() == 0 ? Numbers.ONE
                    : orOne(border.equals("inside") ? sums[1] : total(given));
            return sums[0].divide(by).add(offset);
        });
    }

    private Plain square(String line, int size, At at) {
        return new Plain(line, size, size, (size - 1) / 2, (size - 1) / 2, at);
    }

    private Plain gradient() {
        int[] sides = {1, 1, 3};
        int[] middles = {2, 1, 10};
        int kind = random.nextInt(4);
        String name = List.of("sobel", "prewitt", "scharr", "roberts").get(kind);
        int side = kind == 3 ? 0 : sides[kind];
        int middle = kind == 3 ? 0 : middles[kind];
        int[][] x = kind == 3 ? new int[][] {{1, 0}, {0, -1}}
                : new int[][] {{-side, 0, side}, {-middle, 0, middle}, {-side, 0, side}};
        int[][] y = kind == 3 ? new int[][] {{0, 1}, {-1, 0}}
                : new int[][] {{-side, -middle, -side}, {0, 0, 0}, {side, middle, side}};
        int anchor = kind == 3 ? 0 : 1;
        String part = List.of("x", "y", "sum").get(random.nextInt(3));
        At at = (i, j) -> {
            BigFraction gx = window.sum(whole(x), i, j, anchor, anchor)[0];
            BigFraction gy = window.sum(whole(y), i, j, anchor, anchor)[0];
            return part.equals("x") ? gx : part.equals("y") ? gy : gx.abs().add(gy.abs());
        };
        return new Plain(name + " part=" + part, x.length, x.length, anchor, anchor, at);
    }

    private static BigFraction[][] whole(int[]... weights) {
        return Arrays.stream(weights).map(row -> Arrays.stream(row).mapToObj(Numbers::whole).toArray(BigFraction[]::new))
                .toArray(BigFraction[][]::new);
    }

    private Plain ranked() {
        int size = 1 + random.nextInt(4);
        int place = 1 + random.nextInt(size * size);
        return switch (random.nextInt(4)) {
            case 0 -> square("median size=" + size, size, (i, j) -> {
                List<BigFraction> all = window.sorted(i, j, size);
                return all.get((all.size() - 1) / 2).add(all.get(all.size() / 2)).divide(2);
            });
            case 1 -> square("minimum size=" + size, size, (i, j) -> window.sorted(i, j, size).get(0));
            case 2 -> square("maximum size=" + size, size, (i, j) -> {
                List<BigFraction> all = window.sorted(i, j, size);
                return all.get(all.size() - 1);
            });
            default -> square("rank size=" + size + " place=" + place, size, (i, j) -> {
                List<BigFraction> all = window.sorted(i, j, size);
                return place > all.size() ? null : all.get(place - 1);
            });
        };
    }

    private Plain mean() {
        int size = 1 + random.nextInt(4);
        BigFraction number = Numbers.over(random.nextInt(9) - 2, 1 + random.nextInt(3));
        boolean isUnsharp = random.nextBoolean();
        int low = random.nextInt(maximum + 1);
        return isUnsharp ? square("unsharp amount=" + text(number) + " size=" + size, size, (i, j) -> {
            BigFraction sample = Numbers.whole(levels[i][j]);
            return sample.add(number.multiply(sample.subtract(window.mean(i, j, size))));
        }) : square("threshold-local size=" + size + " offset=" + text(number) + " low=" + low, size, (i, j) ->
                Numbers.whole(levels[i][j]).compareTo(window.mean(i, j, size).subtract(number)) > 0 ? Numbers.whole(maximum)
                        : Numbers.whole(low));
    }

    private Plain shaped() {
        int height = 1 + random.nextInt(3);
        int width = 1 + random.nextInt(4);
        boolean[][] shape = new boolean[height][width];
        for (boolean[] row : shape) {
            for (int b = 0; b < width; b++) {
                row[b] = random.nextInt(3) > 0;
            }
        }
        shape[random.nextInt(height)][random.nextInt(width)] = true;
        boolean isEroding = random.nextBoolean();
        int row = (height - 1) / 2;
        int column = (width - 1) / 2;
        String line = (isEroding ? "erode" : "dilate") + " shape=\"" + Arrays.stream(shape).map(cells -> {
            StringBuilder text = new StringBuilder();
            for (boolean cell : cells) {
                text.append(cell ? "1 " : "0 ");
            }
            return text.toString().strip();
        }).collect(Collectors.joining(" | ")) + "\"";
        int sign = isEroding ? 1 : -1;
        return new Plain(line, height, width, isEroding ? row : height - 1 - row, isEroding ? column : width - 1 - column, (i, j) -> {
            BigFraction best = null;
            for (int a = 0; a < height; a++) {
                for (int b = 0; b < width; b++) {
                    BigFraction value = shape[a][b] ? window.at(i + sign * (a - row), j + sign * (b - column)) : null;
                    boolean isBetter = value != null && (best == null || value.compareTo(best) * sign < 0);
                    best = isBetter ? value : best;
                }
            }
            return best == null ? Numbers.whole(levels[i][j]) : best;
        });
    }

    private Plain plain() {
        return switch (random.nextInt(6)) {
            case 0, 1 -> kernel();
            case 2 -> gradient();
            case 3 -> ranked();
            case 4 -> mean();
            default -> shaped();
        };
    }

    /** Returns how many pixels were compared. */
    int compare() {
        Plain plain = plain();
        String rounding = List.of("nearest", "nearest-even", "truncate", "floor", "ceiling", "none").get(random.nextInt(6));
        String overflow = List.of("clip", "wrap", "keep").get(random.nextInt(3));
        String line = plain.line + " border=" + border + (border.equals("constant") ? " outside=" + text(outside) : "")
                + " rounding=" + rounding + " overflow=" + overflow;
        Image before = Image.of(maximum, levels);
        Image after;
        try {
            after = StepLine.parse(line).bind(before).result(Progress.NONE);
        } catch (PixeronException refused) {
            assertThat(isRefused(plain)).as(line + " refused: " + refused.getMessage()).isTrue();
            return 0;
        }
        boolean isCropped = border.equals("crop");
        List<BigFraction> expected = new ArrayList<>();
        for (int i = 0; i < window.rows(); i++) {
            for (int j = 0; j < window.columns(); j++) {
                boolean fits = window.fits(i, j, plain.height, plain.width, plain.down, plain.right);
                if (!isCropped || fits) {
                    expected.add(border.equals("keep") && !fits ? Numbers.whole(levels[i][j]) : Numbers.ended(plain.at.of(i, j), rounding, overflow, maximum));
                }
            }
        }
        assertThat(after.count()).isEqualTo(expected.size());
        // Beyond 64 bits an image keeps doubles, and only there.
        boolean isExact = Numbers.haveCommonDenominator(expected);
        assertThat(after.isExact()).as("%s of %s is exact", line, before).isEqualTo(isExact);
        for (int place = 0; place < expected.size(); place++) {
            assertThat(isExact ? Numbers.same(after.value(place), expected.get(place)) : Numbers.near(after.value(place), expected.get(place), maximum))
                    .as("%s at place %d of %s: %s, plainly %s", line, place, before, after.value(place), expected.get(place)).isTrue();
        }
        return expected.size();
    }

    /** What may not be: nothing fits, no middle, a place beyond the cells. */
    private boolean isRefused(Plain plain) {
        boolean fitsNowhere = border.equals("crop") && (plain.height > window.rows() || plain.width > window.columns());
        boolean hasNoMiddle = plain.line.startsWith("median") && plain.height % 2 == 0 && !border.equals("inside");
        boolean isBeyond = plain.line.startsWith("rank") && border.equals("inside") && window.rows() * window.columns() > 0;
        return fitsNowhere || hasNoMiddle || isBeyond && anyIsNull(plain);
    }

    private boolean anyIsNull(Plain plain) {
        for (int i = 0; i < window.rows(); i++) {
            for (int j = 0; j < window.columns(); j++) {
                if (plain.at.of(i, j) == null) {
                    return true;
                }
            }
        }
        return false;
    }
}
