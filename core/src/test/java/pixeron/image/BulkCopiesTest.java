package pixeron.image;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import pixeron.number.Rational;

/** Copies of many samples at once, against loops that copy one after the other; sizes on both sides of eight and sixty-four. */
class BulkCopiesTest {

    private static Image image(Random random, int rows, int columns, int maximum) {
        return Image.ofLevels(rows, columns, maximum, n -> random.nextInt(maximum + 1));
    }

    private static int[] places(Random random, int count, int size) {
        int start = random.nextInt(size);
        return switch (random.nextInt(5)) {
            case 0 -> new Random(start).ints(count, -1, size).toArray();
            case 1 -> Arrays.stream(new int[count]).map(n -> start).toArray();
            case 2 -> IntStream.range(0, count).map(n -> size - 1 - n % size).toArray();
            case 3 -> IntStream.range(0, count).map(n -> n - start < 0 || n - start >= size ? -1 : n - start).toArray();
            default -> IntStream.range(0, count).map(n -> n % size).toArray();
        };
    }

    @Property(tries = 300)
    void rearrangedIsAsOneByOne(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = image(random, 1 + random.nextInt(80), 1 + random.nextInt(80), random.nextInt(4) == 0 ? 300 : 255);
        boolean isExchanged = random.nextBoolean();
        Frame frame = new Frame(1 + random.nextInt(80), 1 + random.nextInt(80), before.maximumLevel());
        int[] rows = places(random, isExchanged ? frame.columns() : frame.rows(), before.rows());
        int[] columns = places(random, isExchanged ? frame.rows() : frame.columns(), before.columns());
        Image expected = Image.ofLevels(frame.rows(), frame.columns(), frame.maximumLevel(), n -> {
            int i = n / frame.columns();
            int j = n % frame.columns();
            int row = rows[isExchanged ? j : i];
            int column = columns[isExchanged ? i : j];
            return row < 0 || column < 0 ? 7 : before.level(row * before.columns() + column);
        });
        assertThat(new Rearrangement(frame, rows, columns, isExchanged).of(before, Rational.of(7))).isEqualTo(expected);
    }

    @Property(tries = 50)
    void transposedWholeItIsAsOneByOne(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = image(random, 1 + random.nextInt(150), 1 + random.nextInt(150), 255);
        int[] rows = IntStream.range(0, before.rows()).toArray();
        int[] columns = IntStream.range(0, before.columns()).toArray();
        Image turned = new Rearrangement(new Frame(before.columns(), before.rows(), 255), rows, columns, true).of(before, Rational.ZERO);
        for (int n = 0; n < turned.count(); n++) {
            assertThat(turned.level(n)).isEqualTo(before.level(n % before.rows() * before.columns() + n / before.rows()));
        }
    }

    @Property(tries = 100)
    void patchesLieOverEachOther(@ForAll long seed) {
        Random random = new Random(seed);
        int maximum = random.nextInt(3) == 0 ? 1000 : 255;
        Image ground = image(random, 1 + random.nextInt(20), 1 + random.nextInt(20), maximum);
        Image piece = image(random, 1 + random.nextInt(20), 1 + random.nextInt(20), random.nextBoolean() ? maximum : 200);
        Area part = new Area(random.nextInt(piece.rows()), random.nextInt(piece.columns()), 1, 1);
        Area larger = new Area(part.row(), part.column(), piece.rows() - part.row(), piece.columns() - part.column());
        int row = random.nextInt(30) - 10;
        int column = random.nextInt(30) - 10;
        Image laid = Patches.of(ground.frame(), List.of(Patches.Patch.all(ground, 0, 0), new Patches.Patch(piece, larger, row, column)));
        for (int n = 0; n < ground.count(); n++) {
            int i = ground.pixel(n).row() - row;
            int j = ground.pixel(n).column() - column;
            boolean isPiece = i >= 0 && j >= 0 && i < larger.height() && j < larger.width();
            assertThat(laid.level(n)).isEqualTo(isPiece ? piece.level((i + larger.row()) * piece.columns() + j + larger.column()) : ground.level(n));
        }
    }

    @Property(tries = 100)
    void blocksAreAddedUp(@ForAll long seed) {
        Random random = new Random(seed);
        int down = 1 + random.nextInt(4);
        int right = 1 + random.nextInt(4);
        Image before = image(random, down * (1 + random.nextInt(9)), right * (1 + random.nextInt(9)), 255);
        Image sums = BlockSums.of(before, down, right, sum -> sum % 251);
        for (int n = 0; n < sums.count(); n++) {
            int sum = 0;
            for (int k = 0; k < down * right; k++) {
                sum += before.level((n / sums.columns() * down + k / right) * before.columns() + n % sums.columns() * right + k % right);
            }
            assertThat(sums.level(n)).isEqualTo(sum % 251);
        }
    }

    @Property(tries = 100)
    void pairsAreLookedUpInTheAreaOnly(@ForAll long seed) {
        Random random = new Random(seed);
        Image first = image(random, 1 + random.nextInt(9), 1 + random.nextInt(9), 20);
        Image second = image(random, first.rows(), first.columns(), 30);
        Area area = Area.between(first.pixel(random.nextInt(first.count())), first.pixel(random.nextInt(first.count())));
        int missing = random.nextInt(4) == 0 ? random.nextInt(21 * 31) : -1;
        LevelPairs pairs = LevelPairs.of(21 * 31, 31, n -> n == missing ? LevelPairs.NONE : n % 21);
        Optional<Image> made = pairs.applyTo(first, second, area, 20);
        int[] expected = new int[first.count()];
        boolean hasAll = true;
        for (int n = 0; n < expected.length; n++) {
            int pair = first.level(n) * 31 + second.level(n);
            boolean isIn = area.contains(first.pixel(n).row(), first.pixel(n).column());
            hasAll &= !isIn || pair != missing;
            expected[n] = isIn ? pair % 21 : first.level(n);
        }
        assertThat(made.isPresent()).isEqualTo(hasAll);
        made.ifPresent(image -> assertThat(image).isEqualTo(Image.ofLevels(first.rows(), first.columns(), 20, n -> expected[n])));
    }

    /** What is said to be sure is what doubles give; most of it is. */
    @Property(tries = 100)
    void aSlantedRowIsSureOfWhatDoublesSay(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = image(random, 3 + random.nextInt(30), 3 + random.nextInt(30), 255);
        SlantedRow.Line line = new SlantedRow.Line(random.nextDouble() * 20 - 2, random.nextDouble() * 20 - 2, random.nextDouble() * 2 - 1,
                random.nextDouble() * 2 - 1);
        int[] linear = new int[40];
        int[] nearest = new int[40];
        SlantedRow.of(before, 9).linear(line, 0, 40, linear);
        SlantedRow.of(before, 9).nearest(line, 0, 40, nearest);
        for (int j = 0; j < 40; j++) {
            double y = line.row() + j * line.down();
            double x = line.column() + j * line.right();
            int row = (int) Math.floor(y);
            int column = (int) Math.floor(x);
            double sum = 0;
            for (int k = 0; k < 4; k++) {
                double weight = (k < 2 ? 1 - (y - row) : y - row) * (k % 2 == 0 ? 1 - (x - column) : x - column);
                sum += weight * level(before, row + k / 2, column + k % 2);
            }
            assertThat(linear[j]).isIn(SlantedRow.OPEN, (int) Math.floor(sum + 0.5));
            assertThat(nearest[j]).isIn(SlantedRow.OPEN, level(before, (int) Math.floor(y + 0.5), (int) Math.floor(x + 0.5)));
            boolean isInside = row > 0 && column > 0 && row < before.rows() - 2 && column < before.columns() - 2;
            if (isInside && Math.abs(sum - Math.floor(sum) - 0.5) > 0.02) {
                assertThat(linear[j]).isNotEqualTo(SlantedRow.OPEN);
            }
        }
    }

    /** A square of lines is sure of what one line is sure of, and names every place where it is not; outside is where all lines are. */
    @Property(tries = 60)
    void aSlantedSquareReadsWhatItsLinesRead(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = image(random, 50 + random.nextInt(90), 50 + random.nextInt(90), 255);
        double angle = random.nextDouble() * 2 * Math.PI;
        double row = before.rows() * (random.nextDouble() * 2 - 0.5);
        double column = before.columns() * (random.nextDouble() * 2 - 0.5);
        int stride = SlantedSquare.SIDE + random.nextInt(9);
        byte[] levels = new byte[SlantedSquare.SIDE * stride + 5];
        SlantedSquare square = new SlantedSquare(before, Math.sin(angle), Math.cos(angle));
        square.moveTo(row, column);
        if (square.isInside()) {
            square.read(levels, 5, stride);
        } else if (square.isOutside()) {
            square.fill(9, levels, 5, stride);
        } else {
            return;
        }
        Set<Integer> open = IntStream.range(0, square.openCount()).mapToObj(square::open).collect(Collectors.toSet());
        int[] line = new int[SlantedSquare.SIDE];
        for (int i = 0; i < SlantedSquare.SIDE; i++) {
            SlantedRow.of(before, 9).linear(new SlantedRow.Line(row + i * Math.cos(angle), column - i * Math.sin(angle), Math.sin(angle),
                    Math.cos(angle)), 0, SlantedSquare.SIDE, line);
            for (int j = 0; j < SlantedSquare.SIDE; j++) {
                int at = 5 + i * stride + j;
                assertThat(line[j]).isIn(open.contains(at) ? List.of(line[j]) : List.of(SlantedRow.OPEN, levels[at] & 0xFF));
            }
        }
        assertThat(open.size()).isLessThanOrEqualTo(5 + levels.length / 100);
    }

    private static int level(Image image, int row, int column) {
        return image.contains(new Pixel(row, column)) ? image.level(row * image.columns() + column) : 9;
    }
}
