package pixeron.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import pixeron.PixeronException;
import pixeron.image.Area;
import pixeron.image.ColorImage;
import pixeron.image.Image;
import pixeron.image.ImageFacts;
import pixeron.image.Pixel;
import pixeron.number.Decimals;
import pixeron.number.Rational;
import pixeron.step.Progress;
import pixeron.working.Line;

/** The findings about a rectangle, a line, a condition, a place and a packed pixel. */
class LookTest {

    private static final Image SORT = Image.of(7, new int[][] {{1, 2, 2}, {5, 7, 0}, {3, 3, 4}});

    @Test
    void aRectangleIsSummedUp() {
        // 2 2 | 7 0: sum 11, mean 11/4, squares 4 + 4 + 49 + 0 = 57, 57 − 121/4 = 107/4
        AreaStatistics statistics = AreaStatistics.of(SORT, new Area(0, 1, 2, 2));
        assertThat(statistics.count()).isEqualTo(4);
        assertThat(statistics.smallest()).isEqualTo(Rational.ZERO);
        assertThat(statistics.largest()).isEqualTo(Rational.of(7));
        assertThat(statistics.mean()).isEqualTo(Rational.of(11, 4));
        assertThat(statistics.median()).isEqualTo(Rational.of(2));
        assertThat(statistics.populationVariance()).isEqualTo(Rational.of(107, 16));
        assertThat(statistics.sampleVariance()).isEqualTo(Rational.of(107, 12));
    }

    @Test
    void aSinglePixelHasNoSampleVariance() {
        AreaStatistics one = AreaStatistics.of(SORT, new Area(1, 1, 1, 1));
        assertThat(one.populationVariance()).isEqualTo(Rational.ZERO);
        assertThatThrownBy(one::sampleVariance).isInstanceOf(PixeronException.class);
        assertThatThrownBy(() -> AreaStatistics.of(SORT, new Area(2, 2, 2, 1))).hasMessageContaining("beyond");
    }

    /** Levels are counted, values are sorted: both ways must agree. */
    @Property(tries = 60)
    void statisticsOfLevelsAndOfValuesAgree(@ForAll @IntRange(min = 1, max = 9) int rows,
            @ForAll @IntRange(min = 1, max = 9) int columns, @ForAll long seed) {
        Random random = new Random(seed);
        Image levels = Image.ofLevels(rows, columns + 1, 65535, n -> random.nextInt(65536));
        // One negative sample outside the area makes it a real-valued image.
        Image open = levels.with(new int[] {columns}, Rational.of(-1));
        Area area = new Area(0, 0, rows, columns);
        assertThat(open.isLevelImage()).isFalse();
        assertThat(AreaStatistics.of(open, area)).isEqualTo(AreaStatistics.of(levels, area));
    }

    @Test
    void aSegmentHasOnePixelForEveryStepOfItsLongerDirection() {
        Segment segment = new Segment(new Pixel(0, 0), new Pixel(2, 4));
        // rows 0, ½, 1, 1½, 2: half way is rounded away from the first pixel
        assertThat(segment.pixels()).containsExactly(new Pixel(0, 0), new Pixel(1, 1), new Pixel(1, 2),
                new Pixel(2, 3), new Pixel(2, 4));
        assertThat(segment.squaredDistance()).isEqualTo(20);
        assertThat(segment.straightDistance()).isCloseTo(4.472136, within(1e-6));
        assertThat(segment.cityBlockDistance()).isEqualTo(6);
        assertThat(segment.chessboardDistance()).isEqualTo(4);
        assertThat(new Segment(new Pixel(3, 3), new Pixel(3, 3)).pixels()).containsExactly(new Pixel(3, 3));
    }

    @Property(tries = 100)
    void neighboringPixelsOfASegmentTouch(@ForAll @IntRange(min = 0, max = 50) int a,
            @ForAll @IntRange(min = 0, max = 50) int b, @ForAll @IntRange(min = 0, max = 50) int c,
            @ForAll @IntRange(min = 0, max = 50) int d) {
        List<Pixel> pixels = new Segment(new Pixel(a, b), new Pixel(c, d)).pixels();
        assertThat(pixels.get(0)).isEqualTo(new Pixel(a, b));
        assertThat(pixels.get(pixels.size() - 1)).isEqualTo(new Pixel(c, d));
        for (int n = 1; n < pixels.size(); n++) {
            assertThat(new Segment(pixels.get(n - 1), pixels.get(n)).chessboardDistance()).isEqualTo(1);
        }
    }

    private static PixelSet find(String condition) {
        return Condition.parse(condition).find(SORT, ImageFacts.of(SORT), Progress.NONE);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {"r < 3; 4", "r = max; 1", "i = j; 3", "r > mean; 3", "mod(r, 2) = 1; 5",
        "0; 0", "x = W - 1; 3", "if(r = 0, 0, 6 / r = 2); 2"})
    void pixelsAreFoundByCondition(String condition, int count) {
        assertThat(find(condition).count()).isEqualTo(count);
    }

    @Test
    void foundPixelsAreVisitedRoundAndRound() {
        PixelSet threes = PixelSet.ofLevels(SORT, 3, 3);
        assertThat(threes.nextAfter(new Pixel(0, 0))).contains(new Pixel(2, 0));
        assertThat(threes.nextAfter(new Pixel(2, 0))).contains(new Pixel(2, 1));
        assertThat(threes.nextAfter(new Pixel(2, 1))).contains(new Pixel(2, 0));
        assertThat(PixelSet.ofLevels(SORT, 6, 6).nextAfter(new Pixel(0, 0))).isEmpty();
        assertThat(threes.contains(6)).isTrue();
        assertThat(threes.contains(5)).isFalse();
    }

    @Test
    void aConditionWithoutAValueNamesThePixel() {
        assertThatThrownBy(() -> find("6 / r > 1")).hasMessageContaining("row 1, column 2");
        assertThatThrownBy(() -> Condition.parse("r <")).isInstanceOf(PixeronException.class);
        assertThatThrownBy(() -> Condition.parse("s > 2")).isInstanceOf(PixeronException.class);
    }

    @ParameterizedTest
    @CsvSource({"61, 255, 61, 3D, 00111101, 0.239", "5, 7, 5, 5, 101, 0.714", "65535, 65535, 65535, FFFF, "
        + "1111111111111111, 1.000", "0, 10, 0, 0, 0000, 0.000", "300, 255, 300, 12C, 100101100, 1.176"})
    void numbersAreWrittenInFourBases(String value, int maximum, String decimal, String hexadecimal, String binary,
            String share) {
        Rational number = Decimals.parse(value);
        assertThat(NumberBase.DECIMAL.text(number, maximum)).isEqualTo(decimal);
        assertThat(NumberBase.HEXADECIMAL.text(number, maximum)).isEqualTo(hexadecimal);
        assertThat(NumberBase.BINARY.text(number, maximum)).isEqualTo(binary);
        assertThat(NumberBase.SHARE.text(number, maximum)).isEqualTo(share);
    }

    @Test
    void whatIsNoWholeNumberFromZeroStaysDecimal() {
        assertThat(NumberBase.HEXADECIMAL.text(Decimals.parse("-3"), 255)).isEqualTo("\u22123");
        assertThat(NumberBase.BINARY.text(Decimals.parse("2.5"), 255)).isEqualTo("2.50");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {"1, 2 | 1 | 2", "(1,2) | 1 | 2", "1 2 | 1 | 2", "row 1 column 2 | 1 | 2",
        "x=2, y=1 | 1 | 2", "i 1 j 2 | 1 | 2", "X 0 Y 2 | 2 | 0"})
    void placesAreUnderstood(String text, int row, int column) {
        assertThat(PixelText.parse(text, false, 0, SORT)).isEqualTo(new Pixel(row, column));
    }

    @Test
    void bareNumbersAreMeantAsThePersonSays() {
        assertThat(PixelText.parse("2, 1", true, 0, SORT)).isEqualTo(new Pixel(1, 2));
        assertThat(PixelText.parse("2, 1", false, 1, SORT)).isEqualTo(new Pixel(1, 0));
        assertThatThrownBy(() -> PixelText.parse("3, 0", false, 0, SORT)).hasMessageContaining("rows are 0–2, columns 0–2");
        assertThatThrownBy(() -> PixelText.parse("0, 1", false, 1, SORT)).hasMessageContaining("rows are 1–3, columns 1–3");
        assertThatThrownBy(() -> PixelText.parse("there", false, 0, SORT)).hasMessageContaining("“there” is not a valid position");
    }

    @Test
    void aColorPixelIsPackedAndTakenApart() {
        Image red = Image.of(255, new int[][] {{0x3A}});
        Image green = Image.of(255, new int[][] {{0x7B}});
        Image blue = Image.of(255, new int[][] {{0xC4}});
        PackedPixel opaque = PackedPixel.of(new ColorImage(red, green, blue, Optional.empty()), new Pixel(0, 0));
        assertThat(opaque.hexadecimal()).isEqualTo("0xFF3A7BC4");
        assertThat(opaque.binary()).isEqualTo("11111111 00111010 01111011 11000100");
        // Bits are under bits, so that one sees what a mask leaves and where a shift takes it.
        assertThat(opaque.apart()).extracting(Line::text).startsWith(
                "0xFF3A7BC4     11111111 00111010 01111011 11000100",
                "and 0xFF000000 11111111 00000000 00000000 00000000  right by 24 = 0xFF = 255",
                "and 0x00FF0000 00000000 00111010 00000000 00000000  right by 16 = 0x3A = 58",
                "and 0x0000FF00 00000000 00000000 01111011 00000000  right by 8  = 0x7B = 123");
        assertThat(opaque.together()).extracting(Line::text).containsSequence(
                "58 left by 16  00000000 00111010 00000000 00000000 = 0x003A0000",
                "123 left by 8  00000000 00000000 01111011 00000000 = 0x00007B00",
                "196 left by 0  00000000 00000000 00000000 11000100 = 0x000000C4",
                "or             11111111 00111010 01111011 11000100 = 0xFF3A7BC4", "0xFF3A7BC4 = 4282022852");
        Image half = Image.of(255, new int[][] {{128}});
        assertThat(PackedPixel.of(new ColorImage(red, green, blue, Optional.of(half)), new Pixel(0, 0)).hexadecimal())
                .isEqualTo("0x803A7BC4");
        Image deep = Image.of(65535, new int[][] {{5}});
        assertThatThrownBy(() -> PackedPixel.of(new ColorImage(deep, deep, deep, Optional.empty()), new Pixel(0, 0)))
                .hasMessageContaining("eight bits");
    }

    /** From row 1, column 1 to row 4, column 5: 3 down, 4 across, 5 straight; 3 × 4 pixels from row 2, column 1. */
    @Test
    void linesAndRectanglesAreMeasured() {
        Segment line = new Segment(new Pixel(1, 1), new Pixel(4, 5));
        assertThat(Measures.brief(line)).isEqualTo("5");
        assertThat(Measures.of(line)).isEqualTo("distance 5 (3 down, 4 across; city block 7, chessboard 4)");
        assertThat(Measures.brief(new Segment(new Pixel(0, 0), new Pixel(2, 2)))).isEqualTo("2.83");
        Area area = new Area(2, 1, 3, 4);
        assertThat(Measures.brief(area)).isEqualTo("3 × 4");
        assertThat(Measures.of(area, 0)).isEqualTo("3 × 4 = 12 pixels, rows 2–4, columns 1–4");
        assertThat(Measures.of(area, 1)).isEqualTo("3 × 4 = 12 pixels, rows 3–5, columns 2–5");
        // Ties go downwards and to the right, wherever the line begins: column 1.5 is column 2.
        assertThat(new Segment(new Pixel(0, 0), new Pixel(2, 3)).pixels()).isEqualTo(List.of(new Pixel(0, 0), new Pixel(1, 1), new Pixel(1, 2), new Pixel(2, 3)));
        assertThat(new Segment(new Pixel(2, 1), new Pixel(0, 0)).pixels()).isEqualTo(List.of(new Pixel(2, 1), new Pixel(1, 1), new Pixel(0, 0)));
    }
}
