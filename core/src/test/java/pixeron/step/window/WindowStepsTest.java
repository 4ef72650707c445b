package pixeron.step.window;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Overflow;
import pixeron.number.Rational;
import pixeron.number.Rounding;
import pixeron.number.Value;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.Step;
import pixeron.step.catalog.StepLine;
import pixeron.working.LoopWriter;
import pixeron.working.Moment;

/** Steps that read a window: worked numbers, and the fast way held against the explained one. */
class WindowStepsTest {

    private static final List<String> BORDERS = List.of("zero", "constant outside=3", "constant outside=-5/2", "repeat",
            "mirror-half", "mirror-whole", "wrap", "keep", "inside", "crop");
    private static final List<String> ROUNDINGS = List.of("nearest", "nearest-even", "truncate", "floor", "ceiling", "none");
    private static final List<String> OVERFLOWS = List.of("clip", "wrap", "keep");

    private static Image nine() {
        return Image.of(255, new int[][] {{1, 2, 3}, {4, 5, 6}, {7, 8, 9}});
    }

    private static Value value(String line, Image before, int row, int column) {
        return StepLine.parse(line).bind(before).result(Progress.NONE).value(new Pixel(row, column));
    }

    /** Calculated with paper and pencil on 1 2 3 | 4 5 6 | 7 8 9. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "sobel part=x; 8; 9", "sobel part=y; 24; 13", "sobel part=sum; 32; 22",
        // √640 = 25.298, √250 = 15.811
        "sobel part=root; 25; 16", "prewitt part=x; 6; 7", "prewitt part=y; 18; 9",
        // 3·2 + 10·2 + 3·2; at the corner 10·2 + 3·5
        "scharr part=x; 32; 35", "scharr part=y; 96; 55",
        "roberts part=x; -4; -4", "roberts part=y; -2; -2", "roberts part=sum; 6; 6",
        "roberts part=x overflow=clip; 0; 0", "sobel part=sum overflow=keep; 32; 22",
        // the mean is 45 ÷ 9; at the corner 12 ÷ 9 over zeros, 12 ÷ 4 inside: 1 + 2·(1 − 3) = −3
        "unsharp amount=1 size=3; 5; 1", "unsharp amount=2 size=3 border=inside overflow=keep; 5; -3",
        // the corner: (1 + 0.60653·6 + 0.36788·5) ÷ 4.89764 = 1.3228; inside ÷ 2.58094 = 2.5101
        "gaussian sigma=1 size=3; 5; 1", "gaussian sigma=1 size=3 border=inside; 5; 3",
        "erode shape=\"0 1 0 | 1 1 1 | 0 1 0\"; 2; 1", "dilate shape=\"0 1 0 | 1 1 1 | 0 1 0\"; 8; 4",
        // the anchor is the first of two: eroding looks to the right, dilating to the left
        "erode shape=\"1 1\"; 5; 1", "dilate shape=\"1 1\"; 5; 1", "dilate shape=\"1 1 0\"; 6; 2",
        // eroded rows of 1 1 0: 1 1 2, 4 4 5, 7 7 8; dilated to the other side again
        "open shape=\"1 1 0\"; 5; 1", "close shape=\"1 1 0\"; 5; 2",
        "erode shape=\"1\" area=\"0 0 1 1\"; 5; 1"})
    void workedOutByHand(String line, int middle, int corner) {
        assertThat(value(line, nine(), 1, 1)).as(line).isEqualTo(Rational.of(middle));
        assertThat(value(line, nine(), 0, 0)).as(line).isEqualTo(Rational.of(corner));
    }

    @Test
    void anglesAreDegreesFromAbove180To180() {
        // atan2(24, 8)
        assertThat(value("sobel part=angle", nine(), 1, 1).asDouble()).isCloseTo(71.56505117707799, within(1e-12));
        Image falling = Image.of(9, new int[][] {{3, 2, 1}, {3, 2, 1}, {3, 2, 1}});
        assertThat(value("sobel part=angle border=replicate", falling, 1, 1)).isEqualTo(Rational.of(180));
        assertThat(value("sobel part=angle border=replicate", Image.of(9, new int[][] {{4}}), 0, 0)).isEqualTo(Rational.ZERO);
        Image diagonal = Image.of(9, new int[][] {{0, 1, 2}, {1, 2, 3}, {2, 3, 4}});
        assertThat(StepLine.parse("sobel part=angle").bind(diagonal).value(new Pixel(1, 1))).isEqualTo(Rational.of(45));
    }

    /** One below 0 and one above M are numbers like any other: they do not say that no cell is there. */
    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"dilate shape=\"0 0 | 0 1\" border=constant outside=-1 overflow=keep; -1",
        "erode shape=\"1 0 | 0 0\" border=constant outside=10 overflow=keep; 1", "erode shape=\"0 0 0 | 0 0 0 | 0 0 1\" border=constant outside=10 overflow=keep; 5",
        "dilate shape=\"0 0 0 | 0 0 0 | 0 0 1\" border=constant outside=-1 overflow=keep; -1",
        "maximum size=3 border=constant outside=-1 overflow=keep; 5", "rank place=1 size=3 border=constant outside=-1 overflow=keep; -1"})
    void outsideJustBeyondTheLevels(String line, int corner) {
        Operation operation = StepLine.parse(line).bind(nine());
        assertThat(operation.value(new Pixel(0, 0))).isEqualTo(Rational.of(corner));
        assertThat(operation.result(Progress.NONE).value(0)).as("all at once").isEqualTo(Rational.of(corner));
    }

    @Test
    void aRootThatIsWholeIsWhole() {
        // g_x = −4, g_y = −3 along the diagonals
        Image image = Image.of(9, new int[][] {{1, 2}, {5, 5}});
        assertThat(StepLine.parse("roberts part=root rounding=none").bind(image).value(new Pixel(0, 0))).isEqualTo(Rational.of(5));
    }

    @Test
    void twoPassesReadAcrossTheAreaAndWriteInside() {
        Image image = Image.of(9, new int[][] {{9, 9, 0, 9, 9}});
        String shape = " shape=\"1 1 1\"";
        Image whole = StepLine.parse("open" + shape).bind(image).result(Progress.NONE);
        Image part = StepLine.parse("open" + shape + " area=\"0 0 1 1\"").bind(image).result(Progress.NONE);
        assertThat(whole).isEqualTo(Image.of(9, new int[][] {{9, 9, 0, 9, 9}}));
        assertThat(part).isEqualTo(image);
        Image closed = StepLine.parse("close" + shape + " area=\"0 2 1 1\"").bind(image).result(Progress.NONE);
        assertThat(closed).isEqualTo(Image.of(9, new int[][] {{9, 9, 9, 9, 9}}));
    }

    @Test
    void aShapeBesideItsAnchorLeavesThePixelWhereNothingIsInside() {
        // least of r(i, j − 2): the first two columns have none
        Image image = Image.of(9, new int[][] {{4, 5, 6, 7}});
        assertThat(StepLine.parse("erode shape=\"1 0 0 0 0\"").bind(image).result(Progress.NONE))
                .isEqualTo(Image.of(9, new int[][] {{4, 5, 4, 5}}));
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "gaussian sigma=0; sigma=0 is not allowed", "gaussian sigma=6; needs a window of 37 × 37",
        "gaussian sigma=1 size=4; an odd number", "box size=32; a whole number from 1 to 31",
        "erode shape=\"0 2\"; Its cells must be 0 or 1", "erode shape=\"0 0\"; Structuring element (shape) has no 1",
        "sobel; sobel needs part", "sobel part=z; part=z is not valid", "unsharp size=3; unsharp needs amount"})
    void badStepsSayWhatWouldBeRight(String line, String message) {
        assertThatThrownBy(() -> StepLine.parse(line)).isInstanceOf(PixeronException.class).hasMessageContaining(message);
    }

    @Test
    void croppingTwiceMustFitTwice() {
        Step step = StepLine.parse("open shape=\"1 1 1\" border=crop");
        Image five = Image.of(9, new int[][] {{5, 4, 3, 4, 5}});
        assertThat(step.bind(five).result(Progress.NONE)).isEqualTo(Image.of(9, new int[][] {{3}}));
        assertThatThrownBy(() -> step.bind(Image.of(9, new int[][] {{1, 2, 3, 4}}))).isInstanceOf(PixeronException.class)
                .hasMessageContaining("a window of 1 × 3 does not fit into 1 × 2");
    }

    @Property(tries = 400)
    void roundingOfLongsIsThatOfFractions(@ForAll long seed) {
        Random random = new Random(seed);
        long numerator = random.nextInt(4001) - 2000;
        long denominator = 1 + random.nextInt(20);
        int maximum = 1 + random.nextInt(300);
        for (Rounding rounding : Rounding.values()) {
            if (rounding != Rounding.NONE) {
                Value exact = rounding.apply(Rational.of(numerator, denominator));
                assertThat(Rational.of(rounding.apply(numerator, denominator))).isEqualTo(exact);
                for (Overflow overflow : List.of(Overflow.CLIP, Overflow.WRAP)) {
                    assertThat(Rational.of(overflow.apply(rounding.apply(numerator, denominator), maximum)))
                            .isEqualTo(overflow.apply(exact, maximum));
                }
            }
        }
    }

    private static String kernel(Random random) {
        int height = 1 + random.nextInt(7);
        int width = 1 + random.nextInt(5);
        int kind = random.nextInt(4);
        int[] column = random.ints(height, -3, 4).toArray();
        int[] row = random.ints(width, -2, 3).toArray();
        int same = 1 + random.nextInt(3);
        String[][] weights = new String[height][width];
        for (int a = 0; a < height; a++) {
            for (int b = 0; b < width; b++) {
                weights[a][b] = switch (kind) {
                    case 0 -> "" + same;
                    case 1 -> "" + column[a] * row[b];
                    case 2 -> "" + (random.nextInt(19) - 9);
                    default -> (random.nextInt(9) - 4) + "/" + (1 + random.nextInt(6));
                };
            }
        }
        String text = Arrays.stream(weights).map(cells -> String.join(" ", cells)).collect(Collectors.joining(" | "));
        return "kernel weights=\"" + text + "\"" + (random.nextBoolean() ? " sum=convolution" : "")
                + (random.nextInt(3) == 0 ? " divisor=" + (1 + random.nextInt(9)) + "/2" : "")
                + (random.nextInt(3) == 0 ? " offset=-7/3" : "")
                + (random.nextInt(3) == 0 ? " anchor=\"" + random.nextInt(height) + " " + random.nextInt(width) + "\"" : "");
    }

    private static String line(Random random) {
        int size = 1 + random.nextInt(7);
        String shape = " shape=\"" + List.of("1 1 1 | 1 1 1", "0 1 0 | 1 1 1 | 0 1 0", "1 0 0 0 | 0 0 0 1", "1 0 0 0 0",
                "0 1 | 1 0").get(random.nextInt(5)) + "\"";
        String gradient = List.of("sobel", "prewitt", "scharr", "roberts").get(random.nextInt(4)) + " part="
                + List.of("x", "y", "sum", "root", "angle").get(random.nextInt(5));
        return switch (random.nextInt(12)) {
            case 0, 1, 2, 3 -> kernel(random);
            case 4 -> gradient;
            case 5 -> "median size=" + size;
            case 6 -> List.of("minimum", "maximum").get(random.nextInt(2)) + " size=" + size;
            case 7 -> "rank size=" + size + " place=" + (1 + random.nextInt(size * size));
            case 8 -> List.of("erode", "dilate", "open", "close").get(random.nextInt(4)) + shape;
            case 9 -> "gaussian sigma=" + (1 + random.nextInt(4)) + "/2";
            case 10 -> "unsharp amount=3/2 size=" + size;
            default -> List.of("box", "binomial").get(random.nextInt(2)) + " size=" + size;
        } + " border=" + BORDERS.get(random.nextInt(BORDERS.size())) + " rounding=" + ROUNDINGS.get(random.nextInt(6))
                + " overflow=" + OVERFLOWS.get(random.nextInt(3));
    }

    /** Bulk, value and working for every kind of kernel, border, anchor and size, also larger than the image. */
    @Property(tries = 700)
    void theFastWayIsTheExplainedOne(@ForAll long seed) {
        Random random = new Random(seed);
        int maximum = List.of(1, 7, 255, 65535).get(random.nextInt(4));
        int rows = 1 + random.nextInt(random.nextInt(4) == 0 ? 40 : 6);
        int columns = 1 + random.nextInt(9);
        Image before = Image.ofLevels(rows, columns, maximum, n -> random.nextInt(maximum + 1));
        String line = line(random);
        Operation operation;
        Image after;
        try {
            operation = StepLine.parse(line).bind(before);
            after = operation.result(Progress.NONE);
        } catch (PixeronException notAllowed) {
            // Such as a window that fits nowhere, or a median without a middle.
            return;
        }
        for (int n = 0; n < after.count(); n++) {
            Pixel pixel = after.pixel(n);
            String what = line + " at " + pixel + " of " + before;
            Value value = operation.value(pixel);
            if (after.isExact()) {
                assertThat(after.value(n)).as(what).isEqualTo(value);
            } else {
                assertThat(after.asDouble(n)).as(what).isEqualTo(value.asDouble());
            }
            assertThat(operation.explain(pixel).result()).as(what).isEqualTo(value);
        }
    }

    /** A ready kernel and the kernel that it is underneath are the same. */
    @Property(tries = 150)
    void aReadyKernelSpelledOutGivesTheSame(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = Image.ofLevels(4, 5, 255, n -> random.nextInt(256));
        Step step;
        try {
            step = StepLine.parse(line(random));
        } catch (PixeronException notAllowed) {
            return;
        }
        step.type().spelledOut(step).ifPresent(kernel -> {
            assertThat(kernel.type().name()).isEqualTo("kernel");
            assertThat(StepLine.parse(kernel.line()).line()).isEqualTo(kernel.line());
            try {
                assertThat(kernel.bind(before).result(Progress.NONE)).as(step.line())
                        .isEqualTo(step.bind(before).result(Progress.NONE));
            } catch (PixeronException fitsNowhere) {
                assertThat(fitsNowhere.getMessage().toLowerCase(Locale.ROOT)).contains("does not fit into");
            }
        });
    }

    /** Outside the area a corner has no fifth value; the pixel stays, and its loop is told all the same. */
    @Test
    void outsideTheAreaALoopNeedsNoValue() {
        Operation operation = StepLine.parse("rank size=3 place=5 border=inside area=\"1 1 1 1\"").bind(Image.of(9, new int[][] {{9, 2, 3},
            {4, 5, 6}, {7, 8, 1}}));
        LoopWriter corner = new LoopWriter();
        operation.follow(new Pixel(0, 0), corner);
        LoopWriter middle = new LoopWriter();
        operation.follow(new Pixel(1, 1), middle);
        assertThat(corner.loop()).isEqualTo(middle.loop());
        assertThat(operation.value(new Pixel(1, 1))).isEqualTo(Rational.of(5));
    }

    @Property(tries = 200)
    void theLoopEndsWithTheValueAndIsTheSameForAllPixels(@ForAll long seed) {
        Random random = new Random(seed);
        Image before = pixeron.step.StepArbitraries.image(random);
        Step step = pixeron.step.StepArbitraries.step(random, before);
        Operation operation = step.bind(before);
        Image after = operation.result(Progress.NONE);
        LoopWriter first = new LoopWriter();
        operation.follow(new Pixel(0, 0), first);
        for (int n = 0; n < after.count(); n++) {
            LoopWriter out = new LoopWriter();
            operation.follow(after.pixel(n), out);
            assertThat(out.moments()).isNotEmpty();
            Moment last = out.moments().get(out.moments().size() - 1);
            String written = last.variables().stream().filter(v -> v.name().equals("after[i][j]")).findFirst()
                    .orElseThrow().value();
            assertThat(written).as(step.line()).isEqualTo(pixeron.number.Decimals.working(operation.value(after.pixel(n))));
            assertThat(out.loop()).as(step.line()).isEqualTo(first.loop());
        }
    }

    /** Written into the image that is read: against a plain loop over numbers that are overwritten. */
    @Test
    void inPlaceReadsWhatWasWritten() {
        Image before = Image.of(255, new int[][] {{8, 4, 2, 100}});
        Operation operation = StepLine.parse("kernel weights=\"1 1 0\" border=zero rounding=floor").bind(before);
        Value[] row = {Rational.of(8), Rational.of(4), Rational.of(2), Rational.of(100)};
        for (int j = 0; j < row.length; j++) {
            row[j] = operation.reading(pixel -> row[pixel.column()]).orElseThrow().value(new Pixel(0, j));
        }
        // 8 ÷ 2, (4 + 4) ÷ 2, (4 + 2) ÷ 2, (3 + 100) ÷ 2
        assertThat(row).containsExactly(Rational.of(4), Rational.of(4), Rational.of(3), Rational.of(51));
    }
}
