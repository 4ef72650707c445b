package pixeron.step.kernel;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import pixeron.formula.Function;
import pixeron.image.Image;
import pixeron.image.Pixel;
import pixeron.number.Approximate;
import pixeron.step.Operation;
import pixeron.step.Progress;
import pixeron.step.catalog.StepLine;

/** Directions that are kept are what they are when they are calculated, to the last bit. */
class AnglesTest {

    /** Drawn on paper: east, south-east and so on round, down being positive. */
    @ParameterizedTest
    @CsvSource({"0, 0, 0", "7, 0, 0", "5, 5, 45", "0, 3, 90", "-1020, 1020, 135", "-1, 0, 180", "-2, -2, -135", "0, -1, -90", "1020, -1020, -45", "2000, 2000, 45", "0, -5000, -90"})
    void eightDirections(int x, int y, double degrees) {
        for (int time = 0; time < 2; time++) {
            assertThat(Angles.of(255).of(x, y)).isEqualTo(degrees);
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {255, 7, 65535})
    void keptAndWorkedOutAreTheSame(int maximumLevel) {
        Random random = new Random(maximumLevel);
        Angles angles = Angles.of(maximumLevel);
        for (int n = 0; n < 20_000; n++) {
            int reach = n % 3 == 0 ? 12 : 1030;
            int x = random.nextInt(2 * reach + 1) - reach;
            int y = random.nextInt(2 * reach + 1) - reach;
            double expected = Approximate.snappedDouble(Function.degrees(x, y), maximumLevel);
            assertThat(new double[] {angles.of(x, y), angles.of(x, y), angles.of(x, -y), angles.of(x, y)})
                    .as("(%d, %d)", x, y).containsExactly(expected, expected, Approximate.snappedDouble(Function.degrees(x, -y), maximumLevel), expected);
        }
    }

    /** Large enough for kept ones; of Scharr's weights and of 16 bits there are larger sums than are kept. */
    @ParameterizedTest
    @CsvSource({"sobel, 255", "scharr, 255", "roberts, 65535", "prewitt, 7"})
    void aLargeImageIsWhatItsPixelsAreAlone(String name, int maximumLevel) {
        Random random = new Random(name.length());
        Image image = Image.ofLevels(520, 530, maximumLevel, n -> random.nextInt(maximumLevel + 1));
        Operation operation = StepLine.parse(name + " part=angle").bind(image);
        Image result = operation.result(Progress.NONE);
        IntStream.range(0, 3000).mapToObj(n -> new Pixel(random.nextInt(520), random.nextInt(530)))
                .forEach(pixel -> assertThat(result.value(pixel).compareValue(operation.value(pixel))).as("%s: %s", pixel, result.value(pixel)).isZero());
    }
}
