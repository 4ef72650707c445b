package pixeron.step;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigInteger;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import pixeron.image.Image;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.catalog.StepLine;
import pixeron.working.Table;

/**
 * Steps against arithmetic in {@link BigInteger} that is written here from the definitions: numerator and denominator, then
 * rounding, then overflow. Nothing of it goes through the code that is tested.
 */
class ExactStepsTest {

    private static final int[] MAXIMA = {1, 3, 10, 255, 65535};

    /** numerator ÷ denominator, denominator above 0. */
    private record Fraction(BigInteger numerator, BigInteger denominator) {

        static Fraction of(long numerator, long denominator) {
            return of(BigInteger.valueOf(numerator), BigInteger.valueOf(denominator));
        }

        static Fraction of(BigInteger numerator, BigInteger denominator) {
            return denominator.signum() < 0 ? new Fraction(numerator.negate(), denominator.negate())
                    : new Fraction(numerator, denominator);
        }

        BigInteger floor() {
            BigInteger[] parts = numerator.divideAndRemainder(denominator);
            return parts[1].signum() < 0 ? parts[0].subtract(BigInteger.ONE) : parts[0];
        }

        BigInteger rounded(Rounding rounding) {
            BigInteger floor = floor();
            BigInteger twice = numerator.subtract(floor.multiply(denominator)).shiftLeft(1);
            boolean isWhole = twice.signum() == 0;
            int half = twice.compareTo(denominator);
            return switch (rounding) {
                case FLOOR -> floor;
                case CEILING -> isWhole ? floor : floor.add(BigInteger.ONE);
                case TRUNCATE -> numerator.signum() < 0 && !isWhole ? floor.add(BigInteger.ONE) : floor;
                case NEAREST_EVEN -> half > 0 || half == 0 && floor.testBit(0) ? floor.add(BigInteger.ONE) : floor;
                case NEAREST -> half > 0 || half == 0 && numerator.signum() > 0 ? floor.add(BigInteger.ONE) : floor;
                case NONE -> throw new IllegalArgumentException("not rounded");
            };
        }
    }

    private static BigInteger fitted(BigInteger rounded, Overflow overflow, int maximum) {
        return switch (overflow) {
            case CLIP -> rounded.max(BigInteger.ZERO).min(BigInteger.valueOf(maximum));
            case WRAP -> rounded.mod(BigInteger.valueOf(maximum + 1L));
            case KEEP -> rounded;
        };
    }

    private static Image image(Random random) {
        int maximum = MAXIMA[random.nextInt(MAXIMA.length)];
        int rows = 1 + random.nextInt(4);
        int columns = 1 + random.nextInt(5);
        int constant = random.nextInt(maximum + 1);
        boolean isConstant = random.nextInt(5) == 0;
        return Image.ofLevels(rows, columns, maximum, n -> isConstant ? constant : random.nextInt(maximum + 1));
    }

    private interface Exact {
        Fraction at(int level);
    }

    private static void assertExact(String line, Image before, int resultMaximum, Exact exact) {
        for (Rounding rounding : Rounding.values()) {
            for (Overflow overflow : Overflow.values()) {
                if (rounding == Rounding.NONE) {
                    continue;
                }
                String all = line + " rounding=" + rounding.word() + " overflow=" + overflow.word();
                Image after = StepLine.parse(all).bind(before).result(Progress.NONE);
                for (int n = 0; n < before.count(); n++) {
                    BigInteger expected = fitted(exact.at(before.level(n)).rounded(rounding), overflow, resultMaximum);
                    assertThat(after.value(n)).as(all + " on " + before.level(n) + " of " + before.maximumLevel())
                            .isEqualTo(Rational.of(expected, BigInteger.ONE));
                }
            }
        }
    }

    private static int[] counts(Image image) {
        int[] counts = new int[image.maximumLevel() + 1];
        for (int n = 0; n < image.count(); n++) {
            counts[image.level(n)]++;
        }
        return counts;
    }

    private static long upTo(int[] counts, int level) {
        return Arrays.stream(counts, 0, level + 1).asLongStream().sum();
    }

    @Property(tries = 20)
    void pointSteps(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = image(random);
        int m = before.maximumLevel();
        long a = random.nextInt(900) - 300;
        long b = random.nextInt(2 * m + 1) - m;
        long c = 1 + random.nextInt(29);
        assertExact("multiply factor=" + a + "/" + c, before, m, r -> Fraction.of(a * r, c));
        assertExact("divide divisor=-" + c, before, m, r -> Fraction.of(r, -c));
        assertExact("linear gain=" + a + "/" + c + " bias=" + b + "/7", before, m,
                r -> Fraction.of(a * r * 7 + b * c, c * 7));
        assertExact("invert", before, m, r -> Fraction.of(m - r, 1));
        assertExact("power gamma=3", before, m, r -> Fraction.of(BigInteger.valueOf(r).pow(3),
                BigInteger.valueOf(m).pow(2)));
        long from = random.nextInt(m + 1);
        long to = from + 1 + random.nextInt(9);
        assertExact("stretch low=" + from + " high=" + to + " to-low=2 to-high=" + b, before, m,
                r -> Fraction.of((r - from) * (b - 2) + 2 * (to - from), to - from));
        int bins = 2 + random.nextInt(Math.min(m, 30));
        assertExact("quantize levels=" + bins, before, m, r -> Fraction.of((long) r * bins / (m + 1) * m, bins - 1));
        int other = 1 + random.nextInt(65535);
        assertExact("depth maximum=" + other, before, other, r -> Fraction.of((long) r * other, m));
        assertExact("piecewise points=\"-1 3 | " + m + " " + b + "\"", before, m,
                r -> r == m ? Fraction.of(b, 1) : Fraction.of(3L * (m + 1) + (r + 1) * (b - 3), m + 1));
    }

    @Property(tries = 20)
    void choicesAndBits(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = image(random);
        int m = before.maximumLevel();
        int low = random.nextInt(m + 1);
        int high = low + random.nextInt(m + 1 - low);
        assertExact("clamp low=" + low + " high=" + high, before, m, r -> Fraction.of(Math.min(Math.max(r, low), high), 1));
        assertExact("slice low=" + low + " high=" + high + " inside=5/2", before, m,
                r -> r >= low && r <= high ? Fraction.of(5, 2) : Fraction.of(r, 1));
        assertExact("band low=" + low + " high=" + high, before, m, r -> Fraction.of(r >= low && r <= high ? m : 0, 1));
        assertExact("threshold at=" + low, before, m, r -> Fraction.of(r > low ? m : 0, 1));
        assertExact("threshold compare=at-least at=" + low, before, m, r -> Fraction.of(r >= low ? m : 0, 1));
        int mask = random.nextInt(65536);
        assertExact("bits-and mask=" + mask, before, m, r -> Fraction.of(r & mask, 1));
        assertExact("bits-or mask=" + mask, before, m, r -> Fraction.of(r | mask, 1));
        assertExact("bits-xor mask=" + mask, before, m, r -> Fraction.of(r ^ mask, 1));
        int by = random.nextInt(33) - 16;
        assertExact("bit-shift by=" + by, before, m, r -> by >= 0 ? Fraction.of((long) r << by, 1) : Fraction.of(r >> -by, 1));
        int bit = random.nextInt(16);
        assertExact("bit-plane bit=" + bit, before, m, r -> Fraction.of((r >> bit & 1) * m, 1));
        int cut = random.nextInt(m + 1);
        assertExact("posterize cuts=\"" + cut + "\" values=\"1/3 7\"", before, m,
                r -> r < cut ? Fraction.of(1, 3) : Fraction.of(7, 1));
        assertExact("lookup table=\"" + cut + " 9/2\"", before, m, r -> r == cut ? Fraction.of(9, 2) : Fraction.of(r, 1));
    }

    @Property(tries = 20)
    void equalizationAndMatching(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = image(random);
        int m = before.maximumLevel();
        int[] counts = counts(before);
        long pixels = before.count();
        assertExact("equalize", before, m, r -> Fraction.of(m * upTo(counts, r), pixels));
        int lowest = 0;
        while (counts[lowest] == 0) {
            lowest++;
        }
        long first = counts[lowest];
        assertExact("equalize method=share-from-first", before, m, r -> first == pixels ? Fraction.of(r, 1)
                : Fraction.of(m * (upTo(counts, r) - first), pixels - first));
        if (m > 300) {
            return;
        }
        int[] target = new int[m + 1];
        Arrays.setAll(target, z -> random.nextInt(4));
        target[random.nextInt(m + 1)]++;
        String list = String.join(" ", Arrays.stream(target).mapToObj(String::valueOf).toList());
        long total = upTo(target, m);
        assertExact("match counts=\"" + list + "\"", before, m, r -> {
            int best = 0;
            for (int z = 1; z <= m; z++) {
                if (apart(target, z, total, counts, r, pixels).compareTo(apart(target, best, total, counts, r, pixels))
                        < 0) {
                    best = z;
                }
            }
            return Fraction.of(best, 1);
        });
        assertExact("match counts=\"" + list + "\" rule=first-at-least", before, m, r -> {
            int z = 0;
            while (upTo(target, z) * pixels < upTo(counts, r) * total) {
                z++;
            }
            return Fraction.of(z, 1);
        });
    }

    private static BigInteger apart(int[] target, int z, long total, int[] counts, int r, long pixels) {
        return BigInteger.valueOf(upTo(target, z)).multiply(BigInteger.valueOf(pixels))
                .subtract(BigInteger.valueOf(upTo(counts, r)).multiply(BigInteger.valueOf(total))).abs();
    }

    @Property(tries = 20)
    void thresholds(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = image(random);
        int m = before.maximumLevel();
        int[] counts = counts(before);
        long pixels = before.count();
        int percent = random.nextInt(101);
        int share = 0;
        while (100 * upTo(counts, share) < percent * pixels) {
            share++;
        }
        int t = share;
        assertExact("threshold-percentile percent=" + percent, before, m, r -> Fraction.of(r > t ? m : 0, 1));
        if (Arrays.stream(counts).filter(n -> n > 0).count() < 2 || m > 300) {
            return;
        }
        int otsu = -1;
        BigInteger most = null;
        BigInteger mostBelow = BigInteger.ONE;
        long sum = 0;
        long allSum = 0;
        for (int k = 0; k <= m; k++) {
            allSum += (long) k * counts[k];
        }
        for (int k = 0; k < m; k++) {
            long n0 = upTo(counts, k);
            long n1 = pixels - n0;
            sum += (long) k * counts[k];
            if (n0 == 0 || n1 == 0) {
                continue;
            }
            // w0·w1·(μ0 − μ1)² is, but for a common factor, (sum0·n1 − sum1·n0)² ÷ (n0·n1)
            BigInteger top = BigInteger.valueOf(sum * n1 - (allSum - sum) * n0).pow(2);
            BigInteger below = BigInteger.valueOf(n0 * n1);
            if (most == null || top.multiply(mostBelow).compareTo(most.multiply(below)) > 0) {
                most = top;
                mostBelow = below;
                otsu = k;
            }
        }
        int best = otsu;
        assertExact("threshold-otsu", before, m, r -> Fraction.of(r > best ? m : 0, 1));
    }

    @Property(tries = 20)
    void localThresholdOverZeros(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = image(random);
        int m = before.maximumLevel();
        int size = 1 + random.nextInt(6);
        int offset = random.nextInt(7) - 3;
        Image after = StepLine.parse("threshold-local size=" + size + " offset=" + offset + "/2").bind(before)
                .result(Progress.NONE);
        int anchor = (size - 1) / 2;
        for (int i = 0; i < before.rows(); i++) {
            for (int j = 0; j < before.columns(); j++) {
                long sum = 0;
                for (int a = i - anchor; a < i - anchor + size; a++) {
                    for (int b = j - anchor; b < j - anchor + size; b++) {
                        sum += a < 0 || b < 0 || a >= before.rows() || b >= before.columns() ? 0
                                : before.level(a * before.columns() + b);
                    }
                }
                // r > sum ÷ size² − offset ÷ 2
                int level = before.level(i * before.columns() + j);
                boolean isHigh = 2L * level * size * size > 2 * sum - (long) offset * size * size;
                assertThat(after.level(i * before.columns() + j)).isEqualTo(isHigh ? m : 0);
            }
        }
    }

    /** Returns the place that is at an index beyond the ends, walked to step by step; −1 for none. */
    private static int walked(String border, int index, int size) {
        int at = index;
        while (at < 0 || at >= size) {
            switch (border) {
                case "repeat" -> at += at < 0 ? 1 : -1;
                case "wrap" -> at += at < 0 ? size : -size;
                case "mirror-half" -> at = at < 0 ? -1 - at : 2 * size - 1 - at;
                case "mirror-whole" -> at = size == 1 ? 0 : at < 0 ? -at : 2 * size - 2 - at;
                default -> {
                    return -1;
                }
            }
        }
        return at;
    }

    @Property(tries = 80)
    void kernelsAndRanks(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = image(random);
        int m = before.maximumLevel();
        int height = 1 + random.nextInt(5);
        int width = 1 + random.nextInt(7);
        int[][] weights = new int[height][width];
        for (int[] row : weights) {
            Arrays.setAll(row, n -> random.nextInt(19) - 9);
        }
        String border = List.of("zero", "constant", "repeat", "mirror-half", "mirror-whole", "wrap", "inside")
                .get(random.nextInt(7));
        boolean isConvolution = random.nextBoolean();
        int outside = border.equals("constant") ? 7 : 0;
        String line = "kernel weights=\"" + String.join(" | ", Arrays.stream(weights).map(row -> String.join(" ",
                Arrays.stream(row).mapToObj(String::valueOf).toList())).toList()) + "\" overflow=keep rounding=none border="
                + border + (isConvolution ? " sum=convolution" : "") + (outside == 7 ? " outside=7" : "");
        Image after = StepLine.parse(line).bind(before).result(Progress.NONE);
        for (int i = 0; i < before.rows(); i++) {
            for (int j = 0; j < before.columns(); j++) {
                long sum = 0;
                long inside = 0;
                long all = 0;
                for (int a = 0; a < height; a++) {
                    for (int b = 0; b < width; b++) {
                        int down = (a - (height - 1) / 2) * (isConvolution ? -1 : 1);
                        int right = (b - (width - 1) / 2) * (isConvolution ? -1 : 1);
                        int row = walked(border, i + down, before.rows());
                        int column = walked(border, j + right, before.columns());
                        boolean isThere = row >= 0 && column >= 0;
                        sum += (long) weights[a][b] * (isThere ? before.level(row * before.columns() + column) : outside);
                        inside += isThere ? weights[a][b] : 0;
                        all += weights[a][b];
                    }
                }
                long divisor = all == 0 ? 1 : !border.equals("inside") ? all : inside == 0 ? 1 : inside;
                assertThat(after.value(i * before.columns() + j)).as(line + " at " + i + ", " + j + " of " + m)
                        .isEqualTo(Rational.of(sum, divisor));
            }
        }
        int size = 1 + random.nextInt(4);
        Image median = StepLine.parse("median rounding=none size=" + size).bind(before).result(Progress.NONE);
        for (int n = 0; n < before.count(); n++) {
            int from = n / before.columns() - (size - 1) / 2;
            int left = n % before.columns() - (size - 1) / 2;
            int[] cells = java.util.stream.IntStream.range(0, before.count()).filter(k -> k / before.columns() >= from
                    && k / before.columns() < from + size && k % before.columns() >= left
                    && k % before.columns() < left + size).map(before::level).sorted().toArray();
            int half = cells.length / 2;
            assertThat(median.value(n)).isEqualTo(cells.length % 2 == 1 ? Rational.of(cells[half])
                    : Rational.of(cells[half - 1] + cells[half], 2));
        }
    }

    /** Fractions as weights, divisor and offset, any anchor, every rounding and overflow: all in whole numbers of any length. */
    @Property(tries = 120)
    void kernelsOfFractions(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = image(random);
        int m = before.maximumLevel();
        int height = 1 + random.nextInt(7);
        int width = 1 + random.nextInt(5);
        long below = 1 + random.nextInt(12);
        int[][] tops = new int[height][width];
        StringBuilder weights = new StringBuilder();
        for (int a = 0; a < height; a++) {
            for (int b = 0; b < width; b++) {
                tops[a][b] = random.nextInt(41) - 20;
                weights.append(b > 0 ? " " : a > 0 ? " | " : "").append(tops[a][b]).append('/').append(below);
            }
        }
        int anchorRow = random.nextInt(height);
        int anchorColumn = random.nextInt(width);
        String border = List.of("zero", "repeat", "mirror-half", "mirror-whole", "wrap").get(random.nextInt(5));
        boolean isConvolution = random.nextBoolean();
        long divisor = 1 + random.nextInt(30);
        long offset = random.nextInt(40) - 20;
        Rounding rounding = Rounding.values()[random.nextInt(5)];
        boolean isWrapped = random.nextBoolean();
        String line = "kernel weights=\"" + weights + "\" anchor=\"" + anchorRow + " " + anchorColumn + "\" border=" + border
                + " divisor=" + divisor + "/3 offset=" + offset + "/7 rounding=" + rounding.word() + " overflow="
                + (isWrapped ? "wrap" : "clip") + (isConvolution ? " sum=convolution" : "");
        Image after = StepLine.parse(line).bind(before).result(Progress.NONE);
        for (int n = 0; n < before.count(); n++) {
            BigInteger sum = BigInteger.ZERO;
            for (int a = 0; a < height; a++) {
                for (int b = 0; b < width; b++) {
                    int sign = isConvolution ? -1 : 1;
                    int row = walked(border, n / before.columns() + sign * (a - anchorRow), before.rows());
                    int column = walked(border, n % before.columns() + sign * (b - anchorColumn), before.columns());
                    sum = row < 0 || column < 0 ? sum : sum.add(BigInteger.valueOf(tops[a][b]).multiply(
                            BigInteger.valueOf(before.level(row * before.columns() + column))));
                }
            }
            // sum ÷ below ÷ (divisor ÷ 3) + offset ÷ 7
            Fraction exact = Fraction.of(sum.multiply(BigInteger.valueOf(21)).add(BigInteger.valueOf(offset)
                    .multiply(BigInteger.valueOf(below * divisor))), BigInteger.valueOf(below * divisor * 7));
            BigInteger whole = exact.rounded(rounding);
            BigInteger expected = isWrapped ? whole.mod(BigInteger.valueOf(m + 1L))
                    : whole.max(BigInteger.ZERO).min(BigInteger.valueOf(m));
            assertThat(after.level(n)).as(line + " at " + n).isEqualTo(expected.intValueExact());
        }
    }

    /** What binary floating point gets wrong. */
    @Example
    void sharesOfFortyNineAddUpToOne() {
        Image image = Image.ofLevels(7, 7, 255, n -> n * 5);
        Table levels = StepLine.parse("equalize").bind(image).tables().stream()
                .filter(table -> table.name().equals("levels")).findFirst().orElseThrow();
        List<Value> shares = levels.rows().stream().map(row -> row.get(2)).toList();
        assertThat(shares.stream().reduce(Rational.ZERO, Value::plus)).isEqualTo(Rational.ONE);
        assertThat(levels.value(levels.rows().size(), "p")).contains(Rational.ONE);
        Image hundred = Image.of(255, new int[][] {{100}});
        assertThat(StepLine.parse("multiply factor=0.29 rounding=floor").bind(hundred).result(Progress.NONE).level(0))
                .isEqualTo(29);
        assertThat(StepLine.parse("linear gain=1.15 bias=-15 rounding=truncate").bind(hundred).result(Progress.NONE)
                .level(0)).isEqualTo(100);
    }
}
