package pixeron.step.rank;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import java.util.function.IntBinaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Rational;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;
import pixeron.step.neighborhood.Border;
import pixeron.step.neighborhood.Window;

/** Large images by thresholds, against the explained way at places by chance, many of them at the edges. */
class RankByThresholdsTest {

    private static final int ROWS = 1100;
    private static final int COLUMNS = 1000;
    private static final int PLACES = 1500;

    private static Image image(IntBinaryOperator level) {
        return Image.ofLevels(ROWS, COLUMNS, 255, n -> Math.max(0, Math.min(255, level.applyAsInt(n / COLUMNS, n % COLUMNS))));
    }

    /** Returns the speckled print of a slow ramp, which has few thresholds in each place and others in the next. */
    private static Image speckled(long seed) {
        Random random = new Random(seed);
        return image((i, j) -> random.nextInt(20) == 0 ? 0 : (i + j) / 9 + random.nextInt(30));
    }

    private static void assertRight(String line, Image image) {
        Operation operation = StepLine.parse(line).bind(image);
        Image result = operation.result(Progress.NONE);
        Random random = new Random(line.hashCode());
        for (int n = 0; n < PLACES; n++) {
            int row = random.nextInt(result.rows());
            int column = random.nextInt(result.columns());
            int near = random.nextInt(20);
            Pixel pixel = switch (n % 5) {
                case 0 -> new Pixel(near, column);
                case 1 -> new Pixel(result.rows() - 1 - near, column);
                case 2 -> new Pixel(row, near);
                case 3 -> new Pixel(row, result.columns() - 1 - near);
                default -> new Pixel(row, column);
            };
            assertThat(result.value(pixel)).as("%s, %s", line, pixel).isEqualTo(operation.value(pixel));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"median size=7", "median size=9 rounding=none", "median size=9 border=keep", "median size=15 border=replicate", "median size=11 border=mirror-half",
            "median size=9 border=constant outside=255", "median size=17 border=crop", "median size=31 rounding=none", "rank size=9 place=3 border=periodic", "rank size=20 place=390 border=zero",
            "rank size=8 place=64 border=keep"})
    void placesAreThoseOfTheExplainedWay(String line) {
        assertRight(line, speckled(3));
    }

    @Test
    void neitherFarLevelsNorTheEndsOfTheScaleAreMissed() {
        Random random = new Random(4);
        assertRight("median size=9", image((i, j) -> random.nextInt(256)));
        assertRight("median size=9", image((i, j) -> i / 60 % 2 * 255));
        assertRight("median size=7 border=replicate", image((i, j) -> 245 + random.nextInt(11) + j / 300));
        assertRight("rank size=9 place=80 border=replicate", image((i, j) -> random.nextInt(256)));
    }

    @Test
    void itIsForLargeImagesOfNearLevels() {
        Random random = new Random(5);
        assertThat(isQuick(9, speckled(6))).isTrue();
        assertThat(isQuick(31, speckled(6))).isTrue();
        assertThat(isQuick(5, speckled(6))).as("few cells").isFalse();
        assertThat(isQuick(8, speckled(6))).as("a value between two").isFalse();
        assertThat(isQuick(9, image((i, j) -> (i / 16 + j / 16) % 2 * 255))).as("far levels").isFalse();
        assertThat(isQuick(31, image((i, j) -> j / 40 % 2 * 80 + random.nextInt(9)))).as("large windows, not so near levels").isFalse();
        assertThat(isQuick(9, Image.ofLevels(900, 900, 255, n -> 7))).as("a small image").isFalse();
        assertThat(isQuick(9, Image.ofLevels(ROWS, COLUMNS, 256, n -> 7))).as("no bytes").isFalse();
    }

    private static boolean isQuick(int size, Image image) {
        Window window = new Window(size, size, (size - 1) / 2, (size - 1) / 2, Border.INSIDE, Rational.ZERO);
        return RankByThresholds.isQuick(image, window, new Ranked(Rank.Kind.MEDIAN, 0, window));
    }
}
