package pixeron.step.neighborhood;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.image.Image;
import pixeron.image.Lanes;
import pixeron.image.LevelRaster;
import pixeron.image.Pixel;
import pixeron.image.Quarters;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Finish;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** What is done for many columns at once, in four runs of columns or two columns in a number, against what it represents. */
class QuartersTest {

    /** Values on a line, and nothing else. */
    private record OnLine(int least, int most, Line of) implements Codes {

        @Override
        public Optional<Line> line() {
            return Optional.of(of);
        }

        @Override
        public Value value(int code) {
            return Rational.of(code).times(Rational.of(of.numerator())).plus(Rational.of(of.constant())).dividedBy(Rational.of(of.denominator()));
        }

        @Override
        public boolean areSums() {
            return true;
        }

        @Override
        public Rows rows(Plane plane) {
            throw new UnsupportedOperationException();
        }
    }

    /** Products and shifts give the level that fractions give, for denominators of a few and of millions. */
    @Property(tries = 150)
    void levelsByProductsAreThoseOfFractions(@ForAll long seed) {
        Random random = new Random(seed);
        int maximum = List.of(1, 15, 255).get(random.nextInt(3));
        long denominator = 1 + random.nextInt(1 << 1 + random.nextInt(22));
        long numerator = (1 + random.nextInt(random.nextBoolean() ? 1 : 40)) * (random.nextInt(4) == 0 ? -1 : 1);
        long range = Math.min(1 << 29, 1 + 2 * maximum * denominator);
        int least = -random.nextInt((int) range);
        Codes codes = new OnLine(least, least + random.nextInt((int) range), new Codes.Line(numerator, random.nextInt(2000) - 1000, denominator));
        Finish finish = new Finish(random.nextInt(5) == 0 ? Rounding.FLOOR : Rounding.NEAREST, Overflow.CLIP, maximum);
        int[] found = new int[400];
        for (int n = 0; n < found.length; n++) {
            found[n] = n == 0 ? codes.least() : n == 1 ? codes.most() : codes.least() + random.nextInt(codes.most() - codes.least() + 1);
        }
        int[] levels = new int[found.length];
        new CodeLevels(codes, finish, 1 << 14).of(found, levels);
        for (int n = 0; n < found.length; n++) {
            assertThat(levels[n]).as("code %d of %s", found[n], codes).isEqualTo(finish.level(codes.value(found[n])));
        }
    }

    /** Four sums in two numbers, negative ones among them, up to the last that 16 bits hold apart: each gets the level of its own fraction. */
    @Property(tries = 150)
    void levelsOfSumsInLanesAreThoseOfFractions(@ForAll long seed) {
        Random random = new Random(seed);
        int range = random.nextInt(4) == 0 ? Lanes.MOST : 1 + random.nextInt(Lanes.MOST);
        int least = -random.nextInt(range + 1);
        int maximum = List.of(1, 15, 255).get(random.nextInt(3));
        long denominator = 1 + random.nextInt(1 + range / maximum);
        int numerator = List.of(1, -1, 2).get(random.nextInt(3));
        Codes codes = new OnLine(least, least + range, new Codes.Line(numerator, random.nextInt(2000) - 1000, denominator));
        Finish finish = new Finish(Rounding.NEAREST, Overflow.CLIP, maximum);
        Optional<LaneLevels> levels = LaneLevels.of(codes, finish);
        // A product of 32 bits holds the square of what it must tell apart.
        assertThat(levels.isPresent() || (long) range * range * Math.abs(numerator) >= 1 << 29).as("%s", codes).isTrue();
        if (levels.isEmpty()) {
            return;
        }
        int[] found = random.ints(400, least, least + range + 1).toArray();
        found[0] = least;
        found[1] = least + range;
        found[3] = least + range;
        int[][] sums = new int[2][100];
        for (int n = 0; n < found.length; n++) {
            sums[n % 2][n / 4] += found[n] << 16 * (n / 2 % 2);
        }
        int[] fours = new int[100];
        levels.get().apply(sums, fours);
        for (int n = 0; n < found.length; n++) {
            assertThat(fours[n / 4] >>> 8 * (n % 4) & 0xFF).as("code %d of %s", found[n], codes).isEqualTo(finish.level(codes.value(found[n])));
            assertThat(levels.get().code(sums[n % 2][n / 4], 16 * (n / 2 % 2))).isEqualTo(found[n]);
        }
    }

    /** One of two levels, by what is up to a cut. */
    private record InTwo(int least, int most, int last) implements Codes {

        @Override
        public Optional<Cut> cut(Finish finish) {
            return Optional.of(new Cut(last, 3, 200));
        }

        @Override
        public boolean areSums() {
            return true;
        }

        @Override
        public Value value(int code) {
            throw new UnsupportedOperationException();
        }

        @Override
        public Rows rows(Plane plane) {
            throw new UnsupportedOperationException();
        }
    }

    /** Beyond 16 bits two sums would run into each other; up to there each is on its own side of the cut. */
    @ParameterizedTest
    @ValueSource(ints = {-2, -1, 0, 65_532, 65_533})
    void aCutParts(int last) {
        Finish finish = new Finish(Rounding.NEAREST, Overflow.CLIP, 255);
        assertThat(LaneLevels.of(new InTwo(-1, Lanes.MOST, last), finish)).isEmpty();
        LaneLevels levels = LaneLevels.of(new InTwo(-1, Lanes.MOST - 1, last), finish).orElseThrow();
        int[] codes = {-1, 65_534, Math.max(-1, last), last + 1};
        int[] fours = new int[1];
        levels.apply(new int[][] {{codes[0] + (codes[2] << 16)}, {codes[1] + (codes[3] << 16)}}, fours);
        for (int n = 0; n < codes.length; n++) {
            assertThat(fours[0] >>> 8 * n & 0xFF).as("code %d", codes[n]).isEqualTo(codes[n] > last ? 200 : 3);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3, 4, 5, 64, 67})
    void aRowTakenApartAndPutTogetherIsTheRow(int columns) {
        Image image = Image.ofLevels(3, columns, 255, n -> n * 37 % 256);
        Quarters quarters = new Quarters(columns);
        int[][] runs = new int[Quarters.FOUR][Quarters.size(columns)];
        LevelRaster raster = new LevelRaster(3, columns, 255);
        for (int i = 0; i < 3; i++) {
            quarters.split(image, i, 0, runs);
            assertThat(runs[(columns - 1) % 4][(columns - 1) / 4]).isEqualTo(image.level((i + 1) * columns - 1));
            quarters.join(runs, raster, i);
        }
        assertThat(raster.image()).isEqualTo(image);
    }

    /** Each cell of each window is where it is in a plane of whole rows. */
    @ParameterizedTest
    @EnumSource(Border.class)
    void cellsInRunsAreThoseOfThePlane(Border border) {
        Random random = new Random(border.ordinal());
        for (int n = 0; n < 40; n++) {
            Image image = Image.ofLevels(9 + random.nextInt(5), 9 + random.nextInt(30), 200, at -> random.nextInt(201));
            int height = 1 + random.nextInt(9);
            int width = 1 + random.nextInt(9);
            Window window = new Window(height, width, random.nextInt(height), random.nextInt(width), border, Rational.of(border == Border.CONSTANT ? 7 : 0));
            Margins around = Margins.of(image, window, 0, -5);
            Plane plane = Plane.of(around, 1);
            QuarteredPlane quartered = new QuarteredPlane(around);
            LanePlane lanes = new LanePlane(Margins.of(image, window, 0, 0));
            for (int row = 0; row < height; row++) {
                for (int j = 0; j < plane.columns(); j++) {
                    for (int b = 0; b < width; b++) {
                        int cell = plane.row(row)[j + b];
                        assertThat(quartered.cells(row, b, j % 4)[j / 4]).isEqualTo(cell);
                        int both = lanes.cells(row, b, lanes.run(j))[lanes.place(j)];
                        assertThat(both >>> lanes.shift(j) & Lanes.MOST).isEqualTo(Math.max(0, cell));
                    }
                }
            }
        }
    }

    /** Images so large that they are done in runs: at the edge and at random places the level is that which is explained. */
    @Property(tries = 140)
    void allAtOnceIsAsExplained(@ForAll long seed) {
        Random random = new Random(seed);
        int maximum = random.nextInt(4) == 0 ? 15 : 255;
        int different = 1 + random.nextInt(maximum + 1);
        int rows = List.of(128, 128, 128, 700, 20).get(random.nextInt(5)) + random.nextInt(6);
        Image before = Image.ofLevels(rows, (1 << 14) / rows + 4 + random.nextInt(6), maximum, n -> random.nextInt(different));
        int odd = 1 + 2 * random.nextInt(5);
        List<String> lines = List.of("kernel weights=\"1 2 1 | 2 4 2 | 1 2 1\"", "kernel weights=\"1 2 3 | 4 9 0 | -1 2 5\"", "kernel weights=\"-90 20 | 47 100\"", "kernel weights=\"-90 20 | 48 100\" divisor=3",
                "kernel weights=\"-1 0 1\" offset=8",
                "kernel weights=\"0.5 3 | 2 1/3\" rounding=floor", "binomial size=" + odd, "binomial size=17", "box size=" + odd, "box size=5 overflow=wrap", "sharpen",
                "kernel weights=\"1 5 7 11 13 | 2 3 4 5 6 | 17 19 23 29 31 | 1 1 2 3 5\"", "unsharp amount=3/2 size=5", "median size=" + odd, "median size=11",
                "median size=13", "sobel part=sum", "sobel part=root overflow=wrap", "scharr part=x overflow=clip", "prewitt part=angle overflow=clip rounding=nearest", "kernel weights=\"1 2\" divisor=536870909 offset=1/536870907", "threshold-local size=" + odd + " offset=" + (random.nextInt(9) - 4), "rank size=" + odd + " place=1", "rank size=4 place=7", "rank size=10 place=33", "laplacian neighbors=8 overflow=wrap");
        String line = lines.get(random.nextInt(lines.size()));
        List<String> borders = List.of("zero", "repeat", "mirror-half", "wrap", "keep", "crop", "inside", "constant outside=" + random.nextInt(maximum + 1));
        String border = borders.get(random.nextInt(line.startsWith("rank") || line.startsWith("threshold") ? 6 : 8));
        String rounding = line.contains("rounding") || random.nextInt(3) > 0 ? "" : " rounding=" + List.of("floor", "ceiling", "nearest-even", "none").get(random.nextInt(4));
        String overflow = line.contains("overflow") || random.nextInt(4) > 0 ? "" : " overflow=keep";
        Operation operation = StepLine.parse(line + " border=" + border + rounding + overflow).bind(before);
        Image result = operation.result(Progress.NONE);
        for (int n = 0; n < 250; n++) {
            int i = n % 5 == 0 ? random.nextInt(Math.min(6, result.rows())) : n % 5 == 1 ? result.rows() - 1 - random.nextInt(Math.min(6, result.rows())) : random.nextInt(result.rows());
            int j = n % 5 == 2 ? random.nextInt(6) : n % 5 == 3 ? result.columns() - 1 - random.nextInt(6) : random.nextInt(result.columns());
            Pixel pixel = new Pixel(i, j);
            Value value = result.value(pixel);
            Value explained = operation.value(pixel);
            // Among roots those that are whole are kept as doubles too.
            boolean isExact = value instanceof Rational && explained instanceof Rational;
            assertThat(isExact ? value : value.asDouble()).as("%s at %s", operation.step().line(), pixel).isEqualTo(isExact ? explained : explained.asDouble());
        }
    }

    /** Sums that move from pixel to pixel, over levels, over fractions with one denominator and of doubles. */
    @Property(tries = 40)
    void localThresholdsAreAsExplained(@ForAll long seed) {
        Random random = new Random(seed);
        Image levels = Image.ofLevels(4 + random.nextInt(9), 4 + random.nextInt(9), 255, n -> random.nextInt(256));
        String first = List.of("add amount=0", "divide divisor=3 rounding=none", "linear gain=-1/7 bias=3/2 rounding=none overflow=keep", "log rounding=none").get(random.nextInt(4));
        Image before = StepLine.parse(first).bind(levels).result(Progress.NONE);
        String border = List.of("zero", "repeat", "mirror-half", "wrap", "inside", "keep", "constant outside=5/3").get(random.nextInt(7));
        Operation operation = StepLine.parse("threshold-local size=" + (1 + 2 * random.nextInt(3)) + " offset=" + List.of("0", "1/3", "-2").get(random.nextInt(3)) + " border=" + border)
                .bind(before);
        Image result = operation.result(Progress.NONE);
        for (int n = 0; n < result.count(); n++) {
            double explained = operation.value(result.pixel(n)).asDouble();
            assertThat(result.value(n).asDouble()).as("%s after %s at %s", operation.step().line(), first, result.pixel(n)).isEqualTo(explained);
        }
    }
}
