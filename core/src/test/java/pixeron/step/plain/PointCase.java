package pixeron.step.plain;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.commons.numbers.fraction.BigFraction;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** A random step on levels on a random image, and its result by plain loops over fractions. */
final class PointCase {

    private final Random random;
    private final int[][] levels;
    private final int maximum;
    /** First row and column, height and width; the whole image where the line has no area. */
    private final int[] area;
    private final boolean hasArea;
    private final List<Integer> inArea = new ArrayList<>();
    private int resultMaximum;

    /** A step: its line, and its value of a level before rounding. Null: the step must refuse. */
    private record Plain(String line, Function<Integer, BigFraction> of) {
    }

    PointCase(Random random) {
        this.random = random;
        this.maximum = List.of(1, 3, 7, 255, 1000).get(random.nextInt(5));
        this.resultMaximum = maximum;
        this.levels = new int[1 + random.nextInt(5)][1 + random.nextInt(5)];
        int most = random.nextInt(3) == 0 ? Math.min(3, maximum) : maximum;
        for (int[] row : levels) {
            Arrays.setAll(row, j -> random.nextInt(most + 1));
        }
        this.hasArea = random.nextInt(3) == 0;
        int row = hasArea ? random.nextInt(levels.length) : 0;
        int column = hasArea ? random.nextInt(levels[0].length) : 0;
        this.area = new int[] {row, column, hasArea ? 1 + random.nextInt(levels.length - row) : levels.length,
                hasArea ? 1 + random.nextInt(levels[0].length - column) : levels[0].length};
        for (int i = row; i < row + area[2]; i++) {
            for (int j = column; j < column + area[3]; j++) {
                inArea.add(levels[i][j]);
            }
        }
    }

    private static BigFraction n(long number) {
        return Numbers.whole(number);
    }

    private BigFraction number() {
        return Numbers.over(random.nextInt(41) - 10, 1 + random.nextInt(4));
    }

    private static String text(BigFraction value) {
        return value.getDenominator().equals(java.math.BigInteger.ONE) ? value.getNumerator().toString()
                : value.getNumerator() + "/" + value.getDenominator();
    }

    private int level() {
        return random.nextInt(maximum + 1);
    }

    private long upTo(int level) {
        return inArea.stream().filter(r -> r <= level).count();
    }

    private int least() {
        return inArea.stream().mapToInt(r -> r).min().orElseThrow();
    }

    private int most() {
        return inArea.stream().mapToInt(r -> r).max().orElseThrow();
    }

    private BigFraction mean(boolean isAbove, BigFraction limit) {
        List<Integer> some = inArea.stream().filter(r -> n(r).compareTo(limit) > 0 == isAbove).toList();
        return some.isEmpty() ? null : Numbers.over(some.stream().mapToLong(r -> r).sum(), some.size());
    }

    private Plain arithmetic() {
        BigFraction k = number();
        BigFraction b = number();
        boolean isZero = k.signum() == 0;
        return switch (random.nextInt(7)) {
            case 0 -> new Plain("add amount=" + text(k), r -> k.add(r));
            case 1 -> new Plain("subtract amount=" + text(k), r -> n(r).subtract(k));
            case 2 -> new Plain("multiply factor=" + text(k), r -> k.multiply(r));
            case 3 -> new Plain("divide divisor=" + (isZero ? "2" : text(k)), r -> n(r).divide(isZero ? n(2) : k));
            case 4 -> new Plain("linear gain=" + text(k) + " bias=" + text(b), r -> k.multiply(r).add(b));
            case 5 -> new Plain("power gamma=2", r -> n((long) r * r).divide(maximum));
            default -> new Plain("invert", r -> n(maximum - r));
        };
    }

    private static BigFraction line(BigFraction x, BigFraction[] from, BigFraction[] to) {
        return x.subtract(from[0]).multiply(to[1].subtract(from[1])).divide(to[0].subtract(from[0])).add(from[1]);
    }

    private Plain lines() {
        if (random.nextBoolean()) {
            BigFraction low = random.nextBoolean() ? n(least()) : n(level());
            BigFraction high = random.nextBoolean() ? n(most()) : n(level());
            BigFraction to = number();
            String line = "stretch low=" + text(low) + " high=" + text(high) + " to-low=" + text(to);
            boolean isAuto = low.equals(n(least())) && high.equals(n(most()));
            return new Plain(isAuto ? "stretch to-low=" + text(to) : line, r -> low.equals(high) ? to
                    : line(n(r), new BigFraction[] {low, to}, new BigFraction[] {high, n(maximum)}));
        }
        int[] at = random.ints(1 + random.nextInt(4), 0, maximum + 1).distinct().sorted().toArray();
        BigFraction[] values = IntStream.range(0, at.length).mapToObj(i -> number()).toArray(BigFraction[]::new);
        String points = IntStream.range(0, at.length).mapToObj(i -> at[i] + " " + text(values[i])).collect(Collectors.joining(" | "));
        return new Plain("piecewise points=\"" + points + "\"", r -> {
            if (r <= at[0] || r >= at[at.length - 1]) {
                return r <= at[0] ? values[0] : values[at.length - 1];
            }
            int right = 0;
            while (at[right] < r) {
                right++;
            }
            return line(n(r), new BigFraction[] {n(at[right - 1]), values[right - 1]}, new BigFraction[] {n(at[right]), values[right]});
        });
    }

    private Plain cuts() {
        int a = level();
        int b = a + random.nextInt(maximum + 1 - a);
        int count = 2 + random.nextInt(maximum);
        return switch (random.nextInt(5)) {
            case 0 -> new Plain("clamp low=" + a + " high=" + b, r -> n(Math.min(Math.max(r, a), b)));
            case 1 -> new Plain("slice low=" + a + " high=" + b + " inside=1/2", r -> r >= a && r <= b ? Numbers.over(1, 2) : n(r));
            case 2 -> new Plain("quantize levels=" + count, r -> Numbers.floor(Numbers.over((long) r * count, maximum + 1))
                    .multiply(maximum).divide(count - 1));
            case 3 -> new Plain("band low=" + a + " high=" + b, r -> n(r >= a && r <= b ? maximum : 0));
            default -> new Plain("posterize cuts=\"" + a + " " + (b + 1) + "\" values=\"3 5/2 1\"", r ->
                    r < a ? n(3) : r < b + 1 ? Numbers.over(5, 2) : n(1));
        };
    }

    private Plain bits() {
        int mask = level();
        int bit = random.nextInt(32 - Integer.numberOfLeadingZeros(maximum));
        int by = random.nextInt(9) - 4;
        boolean asBit = random.nextBoolean();
        return switch (random.nextInt(5)) {
            case 0 -> new Plain("bits-and mask=" + mask, r -> n(r & mask));
            case 1 -> new Plain("bits-or mask=" + mask, r -> n(r | mask));
            case 2 -> new Plain("bits-xor mask=" + mask, r -> n(r ^ mask));
            case 3 -> by == 0 ? new Plain("bit-shift by=0", PointCase::n) : new Plain("bit-shift by=" + by, r ->
                    by > 0 ? n((long) r << by) : Numbers.floor(Numbers.over(r, 1L << -by)));
            default -> new Plain("bit-plane bit=" + bit + (asBit ? " as=bit" : ""), r -> n((r >> bit & 1) * (asBit ? 1 : maximum)));
        };
    }

    private Plain counted() {
        long all = inArea.size();
        if (random.nextBoolean()) {
            return new Plain("equalize", r -> n(maximum).multiply(n(upTo(r))).divide(all));
        }
        long first = upTo(least());
        return new Plain("equalize method=share-from-first", r -> first == all ? n(r)
                : n(maximum).multiply(n(upTo(r) - first)).divide(all - first));
    }

    /** The limit that each rule finds; high above it, else low. */
    private Plain limits() {
        int low = level();
        int t = level();
        int percent = random.nextInt(101);
        String levels = " low=" + low;
        return switch (random.nextInt(4)) {
            case 0 -> above("threshold at=" + t + levels, n(t), low);
            case 1 -> new Plain("threshold at=" + t + " compare=at-least" + levels, r -> n(r >= t ? maximum : low));
            case 2 -> above("threshold-percentile percent=" + percent + levels, n(IntStream.rangeClosed(0, maximum).filter(k ->
                    100 * upTo(k) >= (long) percent * inArea.size()).findFirst().orElseThrow()), low);
            default -> random.nextBoolean() ? above("threshold-otsu" + levels, otsu(), low)
                    : above("threshold-iterative" + levels, twoMeans(), low);
        };
    }

    private Plain above(String line, BigFraction limit, int low) {
        return new Plain(line, limit == null ? null : r -> n(n(r).compareTo(limit) > 0 ? maximum : low));
    }

    private BigFraction otsu() {
        BigFraction best = null;
        BigFraction largest = n(-1);
        for (int t = 0; t < maximum; t++) {
            BigFraction below = mean(false, n(t));
            BigFraction above = mean(true, n(t));
            if (below != null && above != null) {
                BigFraction apart = below.subtract(above);
                BigFraction between = n(upTo(t)).multiply(n(inArea.size() - upTo(t))).multiply(apart).multiply(apart);
                best = between.compareTo(largest) > 0 ? n(t) : best;
                largest = between.compareTo(largest) > 0 ? between : largest;
            }
        }
        return best;
    }

    private BigFraction twoMeans() {
        BigFraction t = Numbers.over(inArea.stream().mapToLong(r -> r).sum(), inArea.size());
        while (true) {
            BigFraction below = mean(false, t);
            BigFraction above = mean(true, t);
            if (below == null || above == null) {
                return null;
            }
            BigFraction next = below.add(above).divide(2);
            boolean isDone = next.subtract(t).abs().compareTo(Numbers.over(1, 2)) <= 0;
            t = next;
            if (isDone) {
                return t;
            }
        }
    }

    private Plain own() {
        BigFraction k = number();
        int j = level();
        return switch (random.nextInt(5)) {
            case 0 -> new Plain("formula expression=\"if(r > " + j + ", (M - r) / 2, mod(r, 3))\"", r ->
                    r > j ? Numbers.over(maximum - r, 2) : n(r % 3));
            case 1 -> new Plain("formula expression=\"abs(r - max) * min + N\"", r -> n((long) (most() - r) * least() + inArea.size()));
            case 2 -> new Plain("formula expression=\"floor(r / 2) - ceiling(r / 3) + round(r / 4)\"", r -> Numbers.floor(
                    Numbers.over(r, 2)).add(Numbers.floor(Numbers.over(-r, 3))).add(Numbers.rounded(Numbers.over(r, 4), "nearest")));
            case 3 -> new Plain("formula expression=\"-r^2 + L * W - H\"", r -> n(-(long) r * r
                    + (long) (maximum + 1) * levels[0].length - levels.length));
            default -> new Plain("lookup table=\"" + j + " " + text(k) + "\"", r -> r == j ? k : n(r));
        };
    }

    private Plain plain() {
        return switch (random.nextInt(9)) {
            case 0, 1 -> arithmetic();
            case 2 -> lines();
            case 3 -> cuts();
            case 4 -> bits();
            case 5 -> counted();
            case 6 -> limits();
            case 7 -> hasArea ? own() : depth();
            default -> own();
        };
    }

    private Plain depth() {
        resultMaximum = 1 + random.nextInt(600);
        int to = resultMaximum;
        return new Plain("depth maximum=" + to, r -> n((long) r * to).divide(maximum));
    }

    /** Returns how many pixels were compared. */
    int compare() {
        Plain plain = plain();
        String rounding = List.of("nearest", "nearest-even", "truncate", "floor", "ceiling", "none").get(random.nextInt(6));
        String overflow = List.of("clip", "wrap", "keep").get(random.nextInt(3));
        String line = plain.line + " rounding=" + rounding + " overflow=" + overflow + (hasArea ? " area=\"" + Arrays.stream(area)
                .mapToObj(Integer::toString).collect(Collectors.joining(" ")) + "\"" : "");
        Image before = Image.of(maximum, levels);
        Image after;
        try {
            after = StepLine.parse(line).bind(before).result(Progress.NONE);
        } catch (PixeronException refused) {
            assertThat(plain.of).as("%s of %s refused: %s", line, before, refused.getMessage()).isNull();
            return 0;
        }
        assertThat(plain.of).as("%s of %s has no value", line, before).isNotNull();
        for (int n = 0; n < after.count(); n++) {
            int row = n / levels[0].length;
            int column = n % levels[0].length;
            boolean isIn = row >= area[0] && row < area[0] + area[2] && column >= area[1] && column < area[1] + area[3];
            BigFraction expected = isIn ? Numbers.ended(plain.of.apply(levels[row][column]), rounding, overflow, resultMaximum)
                    : n(levels[row][column]);
            assertThat(Numbers.same(after.value(n), expected)).as("%s at %d, %d of %s: %s, plainly %s", line, row, column, before,
                    after.value(n), expected).isTrue();
        }
        return after.count();
    }
}
